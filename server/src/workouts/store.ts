import type { Knex } from 'knex'
import { readWorkout, workoutDocument, writtenText, type Workout } from '@esfuerzo/core'
import type { RemovedWorkout, WorkoutSummary } from '@esfuerzo/contract'
import { dropOrphans } from '../publications/orphans.ts'
import { recordVersion } from './versions.ts'

interface Row {
  id: string
  teacher_id: string
  title: string
  minutes: number
  revision: number
  document: unknown
  updated_at: Date
  removed_at: Date | null
}

export interface Saved {
  id: string
  revision: number
  updatedAt: string
}

const saved = (row: Pick<Row, 'id' | 'revision' | 'updated_at'>): Saved => ({
  id: row.id,
  revision: row.revision,
  updatedAt: row.updated_at.toISOString(),
})

/** Every query names the teacher: nobody reaches another's sessions, whatever id is asked for. */
const own = (db: Knex, teacherId: string) => db<Row>('workouts').where({ teacher_id: teacherId, removed_at: null })

const columns = (document: Workout) => ({
  title: document.title,
  minutes: document.minutes,
  document: writtenText(workoutDocument, document),
})

/** A teacher has room for so many sessions, those in the bin too: five a day for a school year (ours). */
export const workoutRoom = 1000

/** Whether there is room for another. */
export async function hasRoom(db: Knex, teacherId: string): Promise<boolean> {
  const [count] = await db('workouts').where({ teacher_id: teacherId }).count({ n: '*' })
  return Number(count!.n) < workoutRoom
}

/** A teacher’s sessions that are not in the bin, with what was sent of them and came back. */
export async function listWorkouts(db: Knex, teacherId: string): Promise<WorkoutSummary[]> {
  const rows: (Row & { groups: { letter: string; name: string }[]; sent_at: Date | null; runs: string })[] = await db(
    'workouts as w',
  )
    .where({ 'w.teacher_id': teacherId, 'w.removed_at': null })
    .select('w.id', 'w.title', 'w.minutes', 'w.revision', 'w.updated_at')
    .select(db.raw("jsonb_path_query_array(w.document, '$.groups[*]') as groups"))
    .select(db.raw('(select max(p.created_at) from publications p where p.workout_id = w.id) as sent_at'))
    .select(
      db.raw(
        '(select count(*) from runs r join publications p on p.id = r.publication_id where p.workout_id = w.id) as runs',
      ),
    )
    .orderBy('w.updated_at', 'desc')
  return rows.map((row) => ({
    ...saved(row),
    title: row.title,
    minutes: row.minutes,
    groups: row.groups.map(({ letter, name }) => ({ letter, name })),
    sentAt: row.sent_at?.toISOString() ?? null,
    runs: Number(row.runs),
  }))
}

/** Stores a new session with its first state. */
export async function addWorkout(
  db: Knex,
  teacherId: string,
  id: string,
  document: Workout,
  at?: Date,
): Promise<Saved> {
  return db.transaction(async (trx) => {
    const [row] = await trx<Row>('workouts')
      .insert({ id, teacher_id: teacherId, ...columns(document), ...(at && { updated_at: at }) })
      .returning(['id', 'revision', 'updated_at'])
    await recordVersion(trx, id, document, row!.updated_at)
    return saved(row!)
  })
}

/** A session of a teacher’s; undefined where it is not hers, gone or in the bin. */
export async function findWorkout(
  db: Knex,
  teacherId: string,
  id: string,
): Promise<(Saved & { document: Workout }) | undefined> {
  const row = await own(db, teacherId).where({ id }).first()
  return row && { ...saved(row), document: readWorkout(row.document) }
}

/**
 * Saves over the revision the change started from.
 *
 * @returns `conflict` where another revision was saved since, undefined where the session is not hers or not there
 */
export async function saveWorkout(
  db: Knex,
  teacherId: string,
  id: string,
  revision: number,
  document: Workout,
): Promise<Saved | 'conflict' | undefined> {
  const row = await db.transaction(async (trx) => {
    const [updated] = await own(trx, teacherId)
      .where({ id, revision })
      .update({ ...columns(document), revision: revision + 1, updated_at: db.fn.now() as unknown as Date })
      .returning(['id', 'revision', 'updated_at'])
    if (updated) await recordVersion(trx, id, document, updated.updated_at)
    return updated
  })
  if (row) return saved(row)
  return (await own(db, teacherId).where({ id }).first('id')) ? 'conflict' : undefined
}

/** Whether a session is still at a revision; it stays so until the transaction ends. */
export const isAtRevision = async (
  trx: Knex.Transaction,
  teacherId: string,
  id: string,
  revision: number,
): Promise<boolean> => (await own(trx, teacherId).where({ id, revision }).forUpdate().first('id')) !== undefined

/** Puts a session into the bin; false where it is not hers or not there. */
export async function removeWorkout(db: Knex, teacherId: string, id: string): Promise<boolean> {
  return (
    (await own(db, teacherId)
      .where({ id })
      .update({ removed_at: db.fn.now() as unknown as Date })) > 0
  )
}

/** Takes a session out of the bin again. */
export async function restoreWorkout(db: Knex, teacherId: string, id: string): Promise<boolean> {
  return (
    (await db<Row>('workouts')
      .where({ id, teacher_id: teacherId })
      .whereNotNull('removed_at')
      .update({ removed_at: null })) > 0
  )
}

/** How long a session lies in the bin before it is gone for good, in days. */
export const binDays = 30
const day = 24 * 60 * 60 * 1000

const binned = (db: Knex, teacherId: string) =>
  db<Row>('workouts').where({ teacher_id: teacherId }).whereNotNull('removed_at')

/** What lies in a teacher's bin, the latest first; what has lain there too long is taken out by the hourly tidying. */
export async function listBin(db: Knex, teacherId: string): Promise<RemovedWorkout[]> {
  const rows: (Pick<Row, 'id' | 'title'> & { removed_at: Date; runs: string })[] = await binned(db, teacherId)
    .whereRaw(`removed_at >= now() - interval '${binDays} days'`)
    .select<[]>('id', 'title', 'removed_at')
    .select(
      db.raw(
        '(select count(*) from runs r join publications p on p.id = r.publication_id where p.workout_id = workouts.id) as runs',
      ),
    )
    .orderBy('removed_at', 'desc')
  return rows.map((row) => ({
    id: row.id,
    title: row.title,
    removedAt: row.removed_at.toISOString(),
    goneAt: new Date(row.removed_at.getTime() + binDays * day).toISOString(),
    runs: Number(row.runs),
  }))
}

/** Takes a session out of the bin for good, with its history, links and runs; false where it is not hers or not in there. */
export const deleteWorkout = (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  deleteFrom(binned, db, teacherId, id)

/** Deletes a session for good, wherever it lies; false where it is not hers or not there. */
export const deleteForGood = (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  deleteFrom((trx) => trx<Row>('workouts').where({ teacher_id: teacherId }), db, teacherId, id)

async function deleteFrom(
  place: (db: Knex, teacherId: string) => Knex.QueryBuilder<Row>,
  db: Knex,
  teacherId: string,
  id: string,
): Promise<boolean> {
  const shas = await db.transaction(async (trx) => {
    const sent: { sha256: string }[] = await trx('publications')
      .where({ workout_id: id, teacher_id: teacherId })
      .distinct('sha256')
    const found = await place(trx, teacherId).where({ id }).delete()
    return found ? sent.map((row) => row.sha256) : undefined
  })
  if (shas) await dropOrphans(db, shas)
  return shas !== undefined
}
