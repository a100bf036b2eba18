import type { Router } from 'express'
import pg from 'pg'
import { implement } from './http/implement.ts'

/** How long a full disk is spoken of after it was last met, in milliseconds. */
const remembered = 60_000

/** Whether the server can do its work, asked over a connection of its own: one that waits for nobody else. */
export interface Health {
  /** Whether the database answers within a second. */
  database: () => Promise<boolean>
  /** Says that there was no room to write. */
  metFullStorage: () => void
  isStorageFull: () => boolean
  close: () => Promise<void>
}

export function openHealth(databaseUrl: string): Health {
  const pool = new pg.Pool({
    connectionString: databaseUrl,
    max: 1,
    connectionTimeoutMillis: 1000,
    query_timeout: 1000,
    allowExitOnIdle: true,
  })
  pool.on('error', () => {})
  let asking: Promise<boolean> | undefined
  let met = -Infinity
  return {
    // Whoever asks while it is asked gets the same answer.
    database: () =>
      (asking ??= pool
        .query('select 1')
        .then(
          () => true,
          () => false,
        )
        .finally(() => (asking = undefined))),
    metFullStorage: () => void (met = Date.now()),
    isStorageFull: () => Date.now() - met < remembered,
    close: () => pool.end(),
  }
}

/** `/healthz`: the database's state, and the disk's. */
export function healthRoutes(router: Router, health: Health): void {
  implement(router, 'health', async ({ res }) => {
    const there = await health.database()
    const full = health.isStorageFull()
    res.status(there && !full ? 200 : 503).set('Cache-Control', 'no-store')
    return {
      status: there && !full ? 'ok' : 'degraded',
      database: there ? 'ok' : 'away',
      storage: full ? 'full' : 'ok',
    } as const
  })
}
