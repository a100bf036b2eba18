import knexPackage, { type Knex } from 'knex'
import type { Logger } from 'pino'
import { migrations } from '../migrations/index.ts'

// knex is CommonJS: under ESM the function is its default's default, depending on who loads it.
const knex = ((knexPackage as unknown as { default?: typeof knexPackage }).default ?? knexPackage) as typeof knexPackage

// Imported, not read from a folder, so that they run wherever the server's TypeScript does.
const migrationSource: Knex.MigrationSource<(typeof migrations)[number]> = {
  getMigrations: async () => [...migrations],
  getMigrationName: ({ name }) => name,
  getMigration: async ({ migration }) => migration,
}

/** A pool on the database. A connection that dies is replaced; nothing here ends the server. */
export function openDatabase(url: string, log?: Logger): Knex {
  return knex({
    client: 'pg',
    connection: { connectionString: url, connectionTimeoutMillis: 3000 },
    acquireConnectionTimeout: 4000,
    pool: { min: 0, max: 10, propagateCreateError: true },
    migrations: { migrationSource },
    log: {
      warn: (message) => log?.warn(message),
      error: (message) => log?.error(message),
      deprecate: () => {},
      debug: () => {},
    },
  })
}

/** Brings the tables up to date. */
export const migrateDatabase = (db: Knex): Promise<void> => db.migrate.latest().then(() => {})

const awayCodes = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  // https://www.postgresql.org/docs/15/errcodes-appendix.html: connection exceptions and operator intervention
  '08000',
  '08003',
  '08006',
  '57P01',
  '57P02',
  '57P03',
])

/** Whether an error says that the database is away, not that the query was wrong. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false
  const { code } = error as { code?: string }
  if (code && awayCodes.has(code)) return true
  if (error instanceof AggregateError) return error.errors.some(isDatabaseAway)
  return (
    error.name === 'KnexTimeoutError' ||
    /Connection terminated|connection timeout|timeout expired|Unable to acquire a connection|Client has encountered a connection error/i.test(
      error.message,
    ) ||
    isDatabaseAway(error.cause)
  )
}
