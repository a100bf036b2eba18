import type { Router } from 'express'
import type { Knex } from 'knex'
import { implement } from '../http/implement.ts'
import { listEvents } from './store.ts'

/** What was done with an account, for its teacher to see. */
export function eventRoutes(router: Router, db: Knex): void {
  implement(router, 'listEvents', async ({ teacherId }) => ({ events: await listEvents(db, teacherId) }))
}
