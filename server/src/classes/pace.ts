import type { Knex } from 'knex'
import { classPace, pacedRun, type ClassPace, type PacedRun } from '@esfuerzo/core/change'
import { readDocument } from '@esfuerzo/core'
import type { Publication } from '@esfuerzo/core/publication'
import { runDocument } from '@esfuerzo/core/run'
import { ownedBy } from '../rights/rights.ts'

/** So many runs are looked at, the latest. */
const mostRuns = 600

interface Row {
  document: unknown
  pupil_id: string
  workout_id: string
  sha256: string
}

/** How long a class takes beside what is usual, from its own runs; undefined where too few children say it. */
export async function paceOfClass(db: Knex, teacherId: string, classId: string): Promise<ClassPace | undefined> {
  const rows: Row[] = await db('runs as r')
    .join('pupils as u', 'u.id', 'r.pupil_id')
    .join('publications as p', 'p.id', 'r.publication_id')
    .modify(ownedBy(teacherId, 'pupils', 'u'))
    .where({ 'u.class_id': classId, 'u.removed_at': null })
    .whereRaw(`jsonb_array_length(coalesce(r.document::jsonb -> 'counted', '[]'::jsonb)) > 0`)
    .orderBy('r.finished_at', 'desc')
    .limit(mostRuns)
    .select('r.document', 'r.pupil_id', 'p.workout_id', 'p.sha256')
  const lanes = await lanesOf(db, [...new Set(rows.map((r) => r.sha256))])
  return classPace(
    rows.flatMap((row): PacedRun[] => {
      const run = readDocument(runDocument, row.document)
      const lane = lanes.get(row.sha256)?.find((l) => l.id === run.group)
      const paced =
        lane && pacedRun(run, lane, { child: row.pupil_id, session: row.workout_id, at: Date.parse(run.finishedAt) })
      return paced ? [paced] : []
    }),
  )
}

/** The lanes of what was sent home; a snapshot is read by itself, so that one at a time is in memory. */
async function lanesOf(db: Knex, shas: readonly string[]): Promise<Map<string, Publication['lanes']>> {
  const lanes = new Map<string, Publication['lanes']>()
  for (const sha256 of shas) {
    const row: { body: string } | undefined = await db('snapshots').where({ sha256 }).first('body')
    if (row) lanes.set(sha256, (JSON.parse(row.body) as Publication).lanes)
  }
  return lanes
}
