import type { Knex } from 'knex'
import { lastYearToGo } from '@esfuerzo/core/classBook'

interface ClassRow {
  id: string
  ends: string
  keep_months: number
}

/**
 * Deletes what classes keep no longer: their pupils' runs and results up to the last school year whose time is over, and runs that
 * came through links for the class alone. Aliases and codes stay. A day is the teacher's, wherever the server stands. A year that was
 * over before the class had a rule goes with the next.
 *
 * @param today '2027-08-01'
 * @returns how many runs, and how many values besides those of runs
 */
export async function dropKept(trx: Knex.Transaction, today: string): Promise<{ runs: number; results: number }> {
  const classes: ClassRow[] = await trx('classes').select('id', 'keep_months', trx.raw('year_ends::text as ends'))
  const over = JSON.stringify(
    classes.map(({ id, ends, keep_months }) => ({
      class: id,
      up: lastYearToGo({ yearEnds: ends, keepMonths: keep_months }, today),
    })),
  )
  const cutoffs = `jsonb_to_recordset(cast(:over as jsonb)) as o (class uuid, up date) join classes c on c.id = o.class
     join teachers t on t.id = c.teacher_id`
  const runs = await trx.raw<{ rowCount: number }>(
    `delete from runs r using ${cutoffs}
     where o.up >= c.ruled_from and (r.finished_at at time zone t.zone)::date <= o.up
       and (r.pupil_id in (select id from pupils u where u.class_id = o.class)
            or (r.pupil_id is null and r.publication_id in (select id from publications p where p.class_id = o.class)))`,
    { over },
  )
  const results = await trx.raw<{ rowCount: number }>(
    `delete from results r using ${cutoffs}
     where o.up >= c.ruled_from and r.source <> 'run' and (r.at at time zone t.zone)::date <= o.up
       and r.pupil_id in (select id from pupils u where u.class_id = o.class)`,
    { over },
  )
  return { runs: runs.rowCount, results: results.rowCount }
}
