import type { Knex } from 'knex'
import { ServerError } from '../http/serverError.ts'

let known: ReadonlySet<string> | undefined

/**
 * The time zones this database knows. SQL uses a teacher's zone, and an unknown zone would fail the statement for everybody in it; so only
 * the database decides what a zone is.
 */
async function zonesOf(db: Knex): Promise<ReadonlySet<string>> {
  if (known) return known
  const { rows } = await db.raw<{ rows: { name: string }[] }>('select name from pg_timezone_names')
  return (known = new Set(rows.map((row) => row.name)))
}

/** @throws {ServerError} `invalid` if the database does not know a zone */
export async function mustBeZone(db: Knex, zone: string): Promise<void> {
  if ((await zonesOf(db)).has(zone)) return
  throw new ServerError('invalid', [
    { code: 'not-a-choice', path: ['zone'], expected: { rule: 'timeZone' }, received: zone },
  ])
}
