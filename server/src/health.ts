import type { Router } from 'express'
import type { Knex } from 'knex'
import { implement } from './http/implement.ts'

/** `/healthz`: whether the server can do its work, with the database's state. */
export function healthRoutes(router: Router, db: Knex): void {
  implement(router, 'health', async ({ res }) => {
    const there = await db.raw('select 1').then(
      () => true,
      () => false,
    )
    res.status(there ? 200 : 503).set('Cache-Control', 'no-store')
    return { status: there ? 'ok' : 'degraded', database: there ? 'ok' : 'away' } as const
  })
}
