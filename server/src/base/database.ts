import knexPackage, { type Knex } from 'knex'
import type { Logger } from 'pino'
import { migrations } from '../../migrations/index.ts'

// knex is CommonJS: under ESM the function is its default's default, depending on the loader.
const knex = ((knexPackage as unknown as { default?: typeof knexPackage }).default ?? knexPackage) as typeof knexPackage

// Imported instead of read from a folder, so that they run wherever the server's TypeScript does.
const migrationSource: Knex.MigrationSource<(typeof migrations)[number]> = {
  getMigrations: async () => [...migrations],
  getMigrationName: ({ name }) => name,
  getMigration: async ({ migration }) => migration,
}

/** Database timeouts for statements, locks and idle transactions; set on the role when a server starts. */
export const statementBounds = {
  statement_timeout: '10s',
  lock_timeout: '2s',
  idle_in_transaction_session_timeout: '15s',
} as const

/** How long we wait for it, in milliseconds: a frozen backend ends no statement by itself. */
export const waitBounds = { connectionTimeoutMillis: 3000, query_timeout: 15_000 } as const

/** How long work without bounds waits for a connection, in milliseconds: a machine may stall, but a database that is away must be told. */
const connectionPatience = 60_000

const unbound = Object.keys(statementBounds)
  .map((name) => `set ${name} = 0`)
  .join('; ')

/** What is needed here of a pg connection. */
interface Connection {
  query: (...args: unknown[]) => unknown
  connection: { stream: { destroy: (error: Error) => void } }
}

/**
 * Discards a connection whose statement timed out: it may still be in a transaction whose end was never sent, and later writes would be
 * part of that.
 */
function droppedWhenLate(connection: Connection): void {
  const prototype = Object.getPrototypeOf(connection) as Connection
  const query = (...args: unknown[]) => prototype.query.apply(connection, args)
  connection.query = (...args) => {
    const done = args.at(-1)
    if (typeof done !== 'function') return query(...args)
    return query(...args.slice(0, -1), (error: unknown, result: unknown) => {
      if (error instanceof Error && error.message === 'Query read timeout') connection.connection.stream.destroy(error)
      ;(done as (error: unknown, result: unknown) => void)(error, result)
    })
  }
}

/**
 * A connection pool. A connection that dies is replaced and never stops the server.
 *
 * @param bounds `unbound` for work that may take as long as it needs
 * @param wait for a statement's answer, in milliseconds
 */
export function openDatabase(
  url: string,
  log?: Logger,
  bounds: 'bound' | 'unbound' = 'bound',
  wait: number = waitBounds.query_timeout,
): Knex {
  const free = bounds === 'unbound'
  return knex({
    client: 'pg',
    connection: {
      connectionString: url,
      connectionTimeoutMillis: free ? connectionPatience : waitBounds.connectionTimeoutMillis,
      ...(!free && { query_timeout: wait }),
    },
    acquireConnectionTimeout: free ? connectionPatience : 4000,
    pool: {
      min: 0,
      max: 10,
      propagateCreateError: true,
      afterCreate: (connection: Connection, done: () => void) => {
        droppedWhenLate(connection)
        if (free) connection.query(unbound, done)
        else done()
      },
    },
    migrations: { migrationSource },
    log: {
      // A missing connection shows in the responses, which the log counts: it is not logged again for each.
      warn: (message) => log?.[String(message).startsWith('Acquire connection error') ? 'debug' : 'warn'](message),
      error: (message) => log?.error(message),
      deprecate: () => {},
      debug: () => {},
    },
  })
}

const deadlock = '40P01'

/**
 * Migrates the tables to the latest version. If another server's requests and a migration deadlock, PostgreSQL ends one of them: a
 * migration is applied completely or not at all, and is retried.
 *
 * @throws PostgreSQL's error, a deadlock after the tenth try
 */
export async function migrateDatabase(db: Knex): Promise<void> {
  for (let tries = 1; ; tries++)
    try {
      await db.migrate.latest()
      return
    } catch (error) {
      if ((error as { code?: string }).code !== deadlock || tries === 10) throw error
    }
}

const awayCodes = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  // https://www.postgresql.org/docs/15/errcodes-appendix.html: connection exceptions, operator intervention (57014 is a statement timeout),
  // a lock that was not available, a deadlock, too many connections, and a primary that has become a standby
  '08000',
  '08003',
  '08006',
  '57014',
  '57P01',
  '57P02',
  '57P03',
  '55P03',
  deadlock,
  '53300',
  '25P03',
  '25006',
])

/** Whether an error means that the database is unavailable, not that the query was wrong. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false
  const { code } = error as { code?: string }
  if (code && awayCodes.has(code)) return true
  if (error instanceof AggregateError) return error.errors.some(isDatabaseAway)
  return (
    error.name === 'KnexTimeoutError' ||
    /Connection terminated|connection timeout|timeout expired|timeout exceeded when trying to connect|Query read timeout|Unable to acquire a connection|Client has encountered a connection error/i.test(
      error.message,
    ) ||
    isDatabaseAway(error.cause)
  )
}

const fullCodes = new Set(['ENOSPC', 'EDQUOT', '53100', '53200'])

/** Whether an error means that the disk, or the database's memory, is full. */
export const isStorageFull = (error: unknown): boolean =>
  error instanceof Error && (fullCodes.has((error as { code?: string }).code ?? '') || isStorageFull(error.cause))
