import type { Knex } from 'knex'
import { lastYearToGo } from '@esfuerzo/core/classBook'
import { dropRows } from '../tables/dropRows.ts'

interface ClassRow {
  id: string
  ends: string
  keep_months: number
  ruled_from: string
  zone: string
}

/** What retention deleted, and the classes in which it failed. */
export interface Dropped {
  /** Runs, and typed values. */
  runs: number
  results: number
  failed: { class: string; error: unknown }[]
}

/**
 * Deletes expired results, class by class: the pupils' runs and results up to the last school year beyond retention, and runs of the
 * class's own links. Aliases and codes stay. Dates are in the teacher's time zone. A year that ended before the class had a rule is deleted
 * with the next. A failing class does not stop the others.
 *
 * @param today '2027-08-01'
 */
export async function dropKept(db: Knex, today: string): Promise<Dropped> {
  const classes: ClassRow[] = await db('classes as c')
    .join('teachers as t', 't.id', 'c.teacher_id')
    .select('c.id', 'c.keep_months', 't.zone')
    .select(db.raw('c.year_ends::text as ends'), db.raw('c.ruled_from::text as ruled_from'))
    .orderBy('c.id')
  const dropped: Dropped = { runs: 0, results: 0, failed: [] }
  for (const schoolClass of classes) {
    const upTo = lastYearToGo({ yearEnds: schoolClass.ends, keepMonths: schoolClass.keep_months }, today)
    if (upTo < schoolClass.ruled_from) continue
    try {
      await dropOf(db, schoolClass, upTo, dropped)
    } catch (error) {
      dropped.failed.push({ class: schoolClass.id, error })
    }
  }
  return dropped
}

/** Deletes one class's results up to and including a day, and counts them. */
async function dropOf(db: Knex, { id, zone }: ClassRow, upTo: string, dropped: Dropped): Promise<void> {
  const { rows } = await db.raw<{ rows: [{ end: Date }] }>(
    'select cast(cast(:upTo as date) + 1 as timestamp) at time zone :zone as "end"',
    { upTo, zone },
  )
  const [{ end }] = rows
  const pupils = db('pupils').where({ class_id: id }).select('id')
  const links = db('publications').where({ class_id: id }).select('id')
  dropped.runs += await dropRows(
    db,
    'runs',
    (query) => void query.whereIn('pupil_id', pupils.clone()).where('finished_at', '<', end),
  )
  dropped.runs += await dropRows(
    db,
    'runs',
    (query) => void query.whereIn('publication_id', links).where({ pupil_id: null }).where('finished_at', '<', end),
  )
  dropped.results += await dropRows(
    db,
    'results',
    (query) => void query.whereIn('pupil_id', pupils.clone()).whereNot({ source: 'run' }).where('at', '<', end),
  )
}
