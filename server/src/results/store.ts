import type { Knex } from 'knex'
import { readDocument, type Library } from '@esfuerzo/core'
import { type Outline, type Publication } from '@esfuerzo/core/publication'
import { resultRows, runDocument, type Run } from '@esfuerzo/core/run'
import { laterFacts } from '../snapshots/facts.ts'
import { wholeOutline } from '../snapshots/outline.ts'
import { addFacts, readSnapshot } from '../snapshots/store.ts'

/** A stored run with its results. */
export interface StoredRun {
  publicationId: string
  id: string
  run: Run
  outline: Outline
}

/**
 * Writes the results of runs that have none yet, in one statement. The pupil and the time come from the run's row, because a teacher may
 * have reassigned it meanwhile.
 */
export async function writeResults(db: Knex, runs: readonly StoredRun[]): Promise<void> {
  const jobs = runs.map(({ publicationId, id, run, outline }) => ({
    publication: publicationId,
    run: id,
    rows: resultRows(run, outline),
  }))
  const statement = db.raw(
    `with job as (
       select * from jsonb_to_recordset(cast(:jobs as jsonb)) as j (publication uuid, run uuid, rows jsonb)),
     mine as (
       update runs set has_rows = true from job
       where runs.publication_id = job.publication and runs.id = job.run and not runs.has_rows
       returning runs.publication_id, runs.id, runs.pupil_id, runs.finished_at, job.rows)
     insert into results (teacher_id, class_id, pupil_id, source, publication_id, run_id, what, block, station, test, test_set_up, how,
                          trial, lap, rung, move, version, name, unit, value, seconds, kg, clean, at, by)
     select p.teacher_id, p.class_id, mine.pupil_id, 'run', p.id, mine.id, r.what, r.block, r.station, r.test, r."testSetUp", r.how,
            r.trial, r.lap, r.rung, r.move, r.version, r.name, r.unit, r.value, r.seconds, r.kg, r.clean, mine.finished_at, 'home'
     from mine join publications p on p.id = mine.publication_id, jsonb_to_recordset(mine.rows) as r (
       what text, block text, station text, test text, "testSetUp" text, how text, trial smallint, lap smallint, rung smallint,
       move text, version text, name text, unit text, value float8, seconds float8, kg float8, clean text)`,
    { jobs: JSON.stringify(jobs) },
  )
  await statement.options({ name: 'write-results' })
}

/** Number of runs caught up with at a time. */
const batch = 200

interface Missing {
  publication_id: string
  id: string
  document: unknown
  sha256: string
  outline: Outline | null
}

/** What was caught up with, and what failed. */
export interface CaughtUp {
  runs: number
  publications: number
  failed: { kind: string; id: string; error: unknown }[]
}

/**
 * Writes missing results of runs, such as those stored by an earlier release, and missing facts of publications. An unreadable run is
 * reported and skipped.
 */
export async function catchUp(db: Knex, library: Library): Promise<CaughtUp> {
  const caughtUp: CaughtUp = { runs: 0, publications: 0, failed: [] }
  const outlines = new Map<string, Outline>()
  let last: [string, string] | undefined
  for (;;) {
    const missing: Missing[] = await db('runs as r')
      .join('publications as p', 'p.id', 'r.publication_id')
      .join('snapshots as s', 's.sha256', 'p.sha256')
      .where({ 'r.has_rows': false })
      .modify((query) => last && void query.whereRaw('(r.publication_id, r.id) > (?, ?)', last))
      .select('r.publication_id', 'r.id', 'r.document', 'p.sha256', 's.outline')
      .orderBy(['r.publication_id', 'r.id'])
      .limit(batch)
    for (const row of missing) {
      last = [row.publication_id, row.id]
      try {
        const outline = outlines.get(row.sha256) ?? (await wholeOutline(db, row.sha256, row.outline))
        outlines.set(row.sha256, outline)
        const run = readDocument(runDocument, row.document)
        await writeResults(db, [{ publicationId: row.publication_id, id: row.id, run, outline }])
        caughtUp.runs++
      } catch (error) {
        caughtUp.failed.push({ kind: 'run', id: row.id, error })
      }
    }
    if (missing.length < batch) break
  }
  await missingFacts(db, library, caughtUp)
  return caughtUp
}

async function missingFacts(db: Knex, library: Library, caughtUp: CaughtUp): Promise<void> {
  const missing: { id: string; sha256: string }[] = await db('publications as p')
    .leftJoin('published_facts as f', 'f.publication_id', 'p.id')
    .where({ 'f.publication_id': null })
    .select('p.id', 'p.sha256')
  // One by one: a snapshot may have four megabytes.
  for (const { id, sha256 } of missing)
    try {
      const body = await readSnapshot(db, sha256)
      if (body) await addFacts(db, id, laterFacts(JSON.parse(body) as Publication, library))
      caughtUp.publications++
    } catch (error) {
      caughtUp.failed.push({ kind: 'publication', id, error })
    }
}
