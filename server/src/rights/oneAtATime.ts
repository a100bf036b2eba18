import type { Knex } from 'knex'
import { owned } from './rights.ts'

/**
 * Lets one transaction at a time do something to a teacher's things, until it ends: two that count what there is both find room for
 * the last one otherwise.
 */
export async function oneAtATime(trx: Knex.Transaction, teacherId: string): Promise<void> {
  await owned(trx, teacherId, 'teachers').forUpdate().first('id')
}
