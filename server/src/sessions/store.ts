import type { Knex } from 'knex'
import { sessionDocument, type Session } from '@esfuerzo/core'
import type { RemovedSession, SessionSummary } from '@esfuerzo/contract'
import { dropDone } from '../tables/dropRows.ts'
import { dropOrphans } from '../snapshots/orphans.ts'
import { revisioned, saved } from '../documents/revisioned.ts'
import type { RevisionedRow } from '../documents/revisionedKind.ts'
import { owned, ownedBy } from '../rights/rights.ts'

/** Sessions, saved by revision, with their history and the trash. */
export const sessions = revisioned<Session>({
  table: 'workouts',
  revisions: { table: 'workout_versions', of: 'workout_id' },
  document: sessionDocument,
  columns: ({ title, minutes }) => ({ title, minutes }),
})

/** Limit of sessions for a teacher, including the trash: five a day for a school year (ours). */
export const sessionRoom = 1000

/** A teacher’s sessions outside the trash, with their links and results. */
export async function listSessions(db: Knex, teacherId: string): Promise<SessionSummary[]> {
  const rows: (RevisionedRow & {
    minutes: number
    groups: SessionSummary['groups']
    builds: SessionSummary['builds']
    sent_at: Date | null
    runs: string
  })[] = await db('workouts as w')
    .modify(ownedBy(teacherId, 'workouts', 'w'))
    .where({ 'w.removed_at': null })
    .select('w.id', 'w.title', 'w.minutes', 'w.revision', 'w.updated_at')
    .select(db.raw("jsonb_path_query_array(w.document, '$.groups[*]') as groups"))
    .select(db.raw("jsonb_path_query_array(w.document, '$.aim.builds[*]') as builds"))
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
    groups: row.groups.map(({ letter, name, grades }) => ({ letter, name, grades })),
    builds: row.builds,
    sentAt: row.sent_at?.toISOString() ?? null,
    runs: Number(row.runs),
  }))
}

/** How many days a session stays in the trash. */
export const binDays = 30
const day = 24 * 60 * 60 * 1000

/** A teacher's trash, the latest first; the hourly cleanup deletes what is older. */
export async function listBin(db: Knex, teacherId: string): Promise<RemovedSession[]> {
  const rows: (Pick<RevisionedRow, 'id' | 'title'> & { removed_at: Date; runs: string })[] = await sessions
    .binned(db, teacherId)
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

/** Deletes a session from the trash permanently, with history, links and runs; false if it is not hers or not there. */
export const deleteSession = (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  deleteFrom(sessions.binned, db, teacherId, id)

/** Deletes a session permanently, in the trash or not; false if it is not hers or doesn't exist. */
export const deleteForGood = (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  deleteFrom((trx) => owned<RevisionedRow>(trx, teacherId, 'workouts'), db, teacherId, id)

async function deleteFrom(
  place: (db: Knex, teacherId: string) => Knex.QueryBuilder<RevisionedRow>,
  db: Knex,
  teacherId: string,
  id: string,
): Promise<boolean> {
  const hers = await place(db, teacherId).where({ id }).first('id')
  if (!hers) return false
  await dropDone(db, { publications: owned(db, teacherId, 'publications').where({ workout_id: id }) })
  const shas = await db.transaction(async (trx) => {
    const sent: { sha256: string }[] = await owned(trx, teacherId, 'publications')
      .where({ workout_id: id })
      .distinct('sha256')
    const found = await place(trx, teacherId).where({ id }).delete()
    return found ? sent.map((row) => row.sha256) : undefined
  })
  if (shas) await dropOrphans(db, shas)
  return shas !== undefined
}
