import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { readWorkout, workoutDocument, writtenText, type Workout } from '@esfuerzo/core'
import type { Version } from '@esfuerzo/contract'

interface Row {
  id: string
  workout_id: string
  document: unknown
  name: string | null
  reason: Version['reason']
  started_at: Date
  saved_at: Date
  closed: boolean
}

/** Saves within this long of a state's first are one state, in milliseconds. */
const oneState = 10 * 60 * 1000
/** Unnamed states beyond this many of one session are let go, the oldest first. */
const keptStates = 200

/** The states of a session that is the teacher's and not in the bin. */
const own = (db: Knex, teacherId: string, workoutId: string) =>
  db<Row>('workout_versions')
    .where({ workout_id: workoutId })
    .whereExists(
      db('workouts')
        .where({ teacher_id: teacherId, removed_at: null })
        .whereRaw('workouts.id = workout_versions.workout_id'),
    )

const version = (row: Row & { title?: string }): Version => ({
  id: row.id,
  title: row.title ?? (row.document as Workout).title,
  name: row.name,
  reason: row.reason,
  startedAt: row.started_at.toISOString(),
  savedAt: row.saved_at.toISOString(),
})

/**
 * Writes a save into the history, in the transaction of the save: into the state that is open, or as a new one.
 *
 * @param at when it was saved
 */
export async function recordVersion(trx: Knex, workoutId: string, document: Workout, at: Date): Promise<void> {
  const states = () => trx<Row>('workout_versions').where({ workout_id: workoutId })
  const last = await states().orderBy('place', 'desc').first('id', 'started_at', 'closed')
  const body = writtenText(workoutDocument, document)
  // A clock that was set back is not ten minutes on.
  if (last && !last.closed && Math.abs(at.getTime() - last.started_at.getTime()) < oneState) {
    await states().where({ id: last.id }).update({ document: body, saved_at: at })
    return
  }
  await states().insert({ id: randomUUID(), workout_id: workoutId, document: body, started_at: at, saved_at: at })
  await states()
    .whereIn('id', states().where({ name: null }).orderBy('place', 'desc').offset(keptStates).select('id'))
    .delete()
}

/** The states of a session, the latest first; none where the session is not hers or not there. */
export async function listVersions(db: Knex, teacherId: string, workoutId: string): Promise<Version[]> {
  const rows: (Row & { title: string })[] = await own(db, teacherId, workoutId)
    .select<[]>('id', 'name', 'reason', 'started_at', 'saved_at')
    .select(db.raw("document->>'title' as title"))
    .orderBy('place', 'desc')
  return rows.map(version)
}

/** One kept state of a session of a teacher’s. */
export async function findVersion(
  db: Knex,
  teacherId: string,
  workoutId: string,
  id: string,
): Promise<(Version & { document: Workout }) | undefined> {
  const row = await own(db, teacherId, workoutId).where({ id }).first()
  return row && { ...version(row), document: readWorkout(row.document) }
}

/** Closes the latest state, so that the next save begins another; false where the session is not hers or not there. */
export async function closeVersion(
  db: Knex,
  teacherId: string,
  workoutId: string,
  because: { reason: Version['reason']; name?: string },
): Promise<boolean> {
  const last = await own(db, teacherId, workoutId).orderBy('place', 'desc').first('id', 'reason')
  if (!last) return false
  // What was sent out or named stays known for that.
  const reason = because.reason === 'edit' ? last.reason : because.reason
  await own(db, teacherId, workoutId)
    .where({ id: last.id })
    .update({ closed: true, reason, ...(because.name && { name: because.name }) })
  return true
}

/** A session as it was sent out last; undefined where it never was, or is not hers. */
export async function lastPublished(db: Knex, teacherId: string, workoutId: string): Promise<Workout | undefined> {
  const row = await own(db, teacherId, workoutId)
    .where({ reason: 'published' })
    .orderBy('place', 'desc')
    .first('document')
  return row && readWorkout(row.document)
}

/** A session keeps so many named states: nobody names more of one session (ours). */
export const namedRoom = 60

/** Whether there is room for another named state of a session. */
export async function hasRoomForName(db: Knex, teacherId: string, workoutId: string): Promise<boolean> {
  const [count] = await own(db, teacherId, workoutId).whereNotNull('name').count({ n: '*' })
  return Number(count!.n) < namedRoom
}

/** @param name the empty string takes it away */
export async function nameVersion(
  db: Knex,
  teacherId: string,
  workoutId: string,
  id: string,
  name: string,
): Promise<Version | undefined> {
  const [row] = await own(db, teacherId, workoutId)
    .where({ id })
    .update({ name: name || null, closed: true })
    .returning('*')
  return row && version(row)
}
