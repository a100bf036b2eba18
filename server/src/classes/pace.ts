import type { Knex } from 'knex'
import { classPace, type ClassPace, type PacedRun } from '@esfuerzo/core/change'
import { inBatches } from '../tables/inBatches.ts'
import { readSnapshot } from '../snapshots/store.ts'
import { ownedBy } from '../rights/rights.ts'
import type { JobPool } from '../workers/jobPool.ts'

/** Number of runs considered, the latest first, and how many are read at a time: one may be 150 KiB. */
const [mostRuns, atOnce] = [600, 40]

interface Row {
  id: string
  child: string
  session: string
  sha256: string
  at: Date
}

/**
 * A class's pace relative to the usual, from its own runs; undefined if there are too few children. Runs are parsed in a worker thread, so
 * that nobody else waits.
 */
export async function paceOfClass(
  db: Knex,
  pool: JobPool,
  teacherId: string,
  classId: string,
): Promise<ClassPace | undefined> {
  const ofClass = () =>
    db('runs as r')
      .join('pupils as u', 'u.id', 'r.pupil_id')
      .modify(ownedBy(teacherId, 'pupils', 'u'))
  const rows: Row[] = await ofClass()
    .join('publications as p', 'p.id', 'r.publication_id')
    .where({ 'u.class_id': classId, 'u.removed_at': null })
    .whereRaw(`jsonb_array_length(coalesce(r.document -> 'counted', '[]'::jsonb)) > 0`)
    .orderBy('r.finished_at', 'desc')
    .limit(mostRuns)
    .select('r.id', 'r.pupil_id as child', 'p.workout_id as session', 'p.sha256', 'r.finished_at as at')
  const paced: PacedRun[] = []
  for (const sha256 of new Set(rows.map((row) => row.sha256))) {
    const body = await readSnapshot(db, sha256)
    if (!body) continue
    const own = rows.filter((row) => row.sha256 === sha256)
    for (let from = 0; from < own.length; from += atOnce) {
      const some = own.slice(from, from + atOnce)
      const read = (ids: string[]): Promise<{ id: string; text: string }[]> =>
        ofClass().whereIn('r.id', ids).select('r.id', db.raw('r.document::text as text'))
      const texts = new Map<string, string>()
      for await (const { id, text } of inBatches<{ id: string; text: string }>(some, read, atOnce)) texts.set(id, text)
      const runs = some.flatMap(({ id, child, session, at }) =>
        texts.has(id) ? [{ text: texts.get(id)!, child, session, at: at.getTime() }] : [],
      )
      paced.push(...(await pool.run('pace', { body, runs }, teacherId)))
    }
  }
  return classPace(paced)
}
