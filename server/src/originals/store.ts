import type { Knex } from 'knex'
import type { Original } from '@esfuerzo/contract'
import { inBatches } from '../tables/inBatches.ts'
import { owned, ownedBy } from '../rights/rights.ts'

interface Row {
  workout_id: string
  text: string
  created_at: Date
}

/** Stores the text a session is created from. */
export const keepOriginal = async (db: Knex, teacherId: string, sessionId: string, text: string): Promise<void> => {
  const session = owned(db, teacherId, 'workouts').where({ id: sessionId })
  await db(db.raw('originals (workout_id, text)')).insert(session.select(db.raw('id, ?', [text])))
}

/** @returns null if the session was created without one, undefined if it is not hers or doesn't exist */
export async function readOriginal(
  db: Knex,
  teacherId: string,
  sessionId: string,
): Promise<Original | null | undefined> {
  const row: Partial<Row> | undefined = await db('workouts as w')
    .leftJoin('originals as o', 'o.workout_id', 'w.id')
    .modify(ownedBy(teacherId, 'workouts', 'w'))
    .where({ 'w.id': sessionId, 'w.removed_at': null })
    .first('o.text', 'o.created_at')
  return row && (row.text ? { text: row.text, at: row.created_at!.toISOString() } : null)
}

/** Deletes it; false if she has none. */
export const removeOriginal = async (db: Knex, teacherId: string, sessionId: string): Promise<boolean> =>
  (await owned<Row>(db, teacherId, 'originals').where({ workout_id: sessionId }).delete()) > 0

/** Every text a teacher's sessions were created from, for her export. */
export async function* allOriginals(db: Knex, teacherId: string): AsyncGenerator<{ sessionId: string; text: string }> {
  const hers = () =>
    db('originals as o')
      .join('workouts as w', 'w.id', 'o.workout_id')
      .modify(ownedBy(teacherId, 'workouts', 'w'))
  const read = (ids: string[]) => hers().whereIn('w.id', ids).select('w.id', 'o.text')
  const all = await hers().select('w.id').orderBy(['w.created_at', 'w.id'])
  for await (const { id, text } of inBatches<{ id: string; text: string }>(all, read)) yield { sessionId: id, text }
}
