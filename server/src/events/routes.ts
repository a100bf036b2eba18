import type { Router } from 'express'
import type { Knex } from 'knex'
import { implement } from '../http/implement.ts'
import { listEvents } from './store.ts'

/** Account activity, for its teacher. */
export function eventRoutes(router: Router, db: Knex): void {
  implement(router, 'listEvents', async ({ teacherId }) => ({ events: await listEvents(db, teacherId) }))
}
