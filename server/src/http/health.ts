import type { Router } from 'express'
import pg from 'pg'
import { implement } from './implement.ts'

/** How long a full disk is reported after it was last seen, in milliseconds. */
const remembered = 60_000

/** Whether the server can work, asked over its own connection, which waits for nobody else. */
export interface Health {
  /** Whether the database answers within a second. */
  database: () => Promise<boolean>
  /** Records that there was no room to write. */
  metFullStorage: () => void
  isStorageFull: () => boolean
  /** Reports from now on that it is stopping, so that proxies send requests elsewhere. */
  stop: () => void
  isStopping: () => boolean
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
  let stopping = false
  return {
    // Simultaneous questions share one answer.
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
    stop: () => void (stopping = true),
    isStopping: () => stopping,
    close: () => pool.end(),
  }
}

/** `/healthz`: the state of the database and the disk, and whether the server is stopping. */
export function healthRoutes(router: Router, health: Health): void {
  implement(router, 'health', async ({ res }) => {
    const there = await health.database()
    const full = health.isStorageFull()
    const stopping = health.isStopping()
    const well = there && !full
    res.status(well && !stopping ? 200 : 503).set('Cache-Control', 'no-store')
    return {
      status: stopping ? 'stopping' : well ? 'ok' : 'degraded',
      database: there ? 'ok' : 'away',
      storage: full ? 'full' : 'ok',
    } as const
  })
}
