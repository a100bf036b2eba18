import type { Knex } from 'knex'
import { owned } from './rights.ts'

/**
 * Lets one transaction at a time change something for a teacher, until it ends: otherwise two that count existing rows would both find room
 * for the last one.
 */
export async function oneAtATime(trx: Knex.Transaction, teacherId: string): Promise<void> {
  await owned(trx, teacherId, 'teachers').forUpdate().first('id')
}
