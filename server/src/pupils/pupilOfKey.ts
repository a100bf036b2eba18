import type { Knex } from 'knex'
import { keyOfPupil } from './pupilCode.ts'
import { findPupil } from './store.ts'

/**
 * The pupil a device's key stands for, of those whom a link's teacher has.
 *
 * @returns undefined for no key, one whose slip was renewed, one of another teacher's, one of a pupil that was taken away
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
