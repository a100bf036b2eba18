import type { Knex } from 'knex'
import { keyOfPupil } from './pupilCode.ts'
import { findPupil } from './store.ts'

/**
 * The pupil of a device's key, among those of a link's teacher.
 *
 * @returns undefined for no key, a key of a renewed slip, of another teacher, or of a deleted pupil
 */
export async function pupilOfKey(
  db: Knex,
  { teacherId }: { teacherId: string },
  key: string,
  secret: string,
): Promise<string | undefined> {
  const named = keyOfPupil(key)
  const pupil = named && (await findPupil(db, teacherId, named.id))
  return pupil && named.isFor(pupil.slip, secret) ? pupil.id : undefined
}
