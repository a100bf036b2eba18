import type { Knex } from 'knex'
import { ServerError } from '../http/serverError.ts'

let known: ReadonlySet<string> | undefined

/**
 * The time zones that this database knows. Statements work with a teacher's zone, and one with a zone the database does not know fails
 * for everybody in it; so nothing else decides what a zone is.
 */
async function zonesOf(db: Knex): Promise<ReadonlySet<string>> {
  if (known) return known
  const { rows } = await db.raw<{ rows: { name: string }[] }>('select name from pg_timezone_names')
  return (known = new Set(rows.map((row) => row.name)))
}

/** @throws {ServerError} `invalid` where the database does not know a zone */
export async function mustBeZone(db: Knex, zone: string): Promise<void> {
  if ((await zonesOf(db)).has(zone)) return
  throw new ServerError('invalid', [
    { code: 'not-a-choice', path: ['zone'], expected: { rule: 'timeZone' }, received: zone },
  ])
}
