import type { Knex } from 'knex'
import { readDocument, type Library } from '@esfuerzo/core'
import { type Outline, type Publication } from '@esfuerzo/core/publication'
import { resultRows, runDocument, type Run } from '@esfuerzo/core/run'
import { laterFacts } from '../publications/facts.ts'
import { wholeOutline } from '../publications/outline.ts'
import { addFacts, readSnapshot } from '../publications/store.ts'

/**
 * Part of a statement: the rows of a run, for whoever has the link. Bindings `rows` ({@link rowsOf}), `run`, `publicationId`, `at`,
 * `pupil`.
 *
 * @param only what has to be so for them to be written
 */
export const insertRows = (only: string): string => `
  insert into results (teacher_id, class_id, pupil_id, source, publication_id, run_id, what, block, station, test, test_set_up, how,
                       trial, lap, rung, move, version, name, unit, value, seconds, kg, clean, at, by)
  select p.teacher_id, p.class_id, cast(:pupil as uuid), 'run', p.id, cast(:run as uuid), r.what, r.block, r.station, r.test,
         r."testSetUp", r.how, r.trial, r.lap, r.rung, r.move, r.version, r.name, r.unit, r.value, r.seconds, r.kg, r.clean,
         cast(:at as timestamptz), 'home'
  from publications p, jsonb_to_recordset(cast(:rows as jsonb)) as r (
    what text, block text, station text, test text, "testSetUp" text, how text, trial smallint, lap smallint, rung smallint, move text, version text,
    name text, unit text, value float8, seconds float8, kg float8, clean text)
  where p.id = :publicationId and ${only}`

/** The rows of a run as a statement takes them. */
export const rowsOf = (run: Run, outline: Outline): string => JSON.stringify(resultRows(run, outline))

/** So many are caught up with at a time. */
const batch = 200

interface Missing {
  publication_id: string
  id: string
  document: unknown
  pupil_id: string | null
  finished_at: Date
  sha256: string
  outline: Outline | null
}

/**
 * Writes the rows of runs that a release before has stored, and the facts of what it sent home.
 *
 * @returns how many runs and publications it caught up with
 */
export async function catchUp(db: Knex, library: Library): Promise<{ runs: number; publications: number }> {
  let runs = 0
  const outlines = new Map<string, Outline>()
  for (;;) {
    const missing: Missing[] = await db('runs as r')
      .join('publications as p', 'p.id', 'r.publication_id')
      .join('snapshots as s', 's.sha256', 'p.sha256')
      .where({ 'r.has_rows': false })
      .select('r.publication_id', 'r.id', 'r.document', 'r.pupil_id', 'r.finished_at', 'p.sha256', 's.outline')
      .limit(batch)
    for (const row of missing) {
      const known = outlines.get(row.sha256) ?? (await wholeOutline(db, row.sha256, row.outline))
      outlines.set(row.sha256, known)
      await writeRows(db, row, known)
    }
    runs += missing.length
    if (missing.length < batch) break
  }
  return { runs, publications: await missingFacts(db, library) }
}

async function writeRows(db: Knex, row: Missing, outline: Outline): Promise<void> {
  const run = readDocument(runDocument, row.document)
  await db.raw(
    `with mine as (
       update runs set has_rows = true where publication_id = :publicationId and id = :run and not has_rows returning 1)
     ${insertRows('exists (select from mine)')}`,
    {
      publicationId: row.publication_id,
      run: row.id,
      rows: rowsOf(run, outline),
      at: row.finished_at as never,
      pupil: row.pupil_id as never,
    },
  )
}

async function missingFacts(db: Knex, library: Library): Promise<number> {
  const missing: { id: string; sha256: string }[] = await db('publications as p')
    .leftJoin('published_facts as f', 'f.publication_id', 'p.id')
    .where({ 'f.publication_id': null })
    .select('p.id', 'p.sha256')
  // One by one: a snapshot may be as large as four megabytes.
  for (const { id, sha256 } of missing) {
    const body = await readSnapshot(db, sha256)
    if (body) await addFacts(db, id, laterFacts(JSON.parse(body) as Publication, library))
  }
  return missing.length
}
