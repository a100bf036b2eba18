import type { Knex } from 'knex'
import pg from 'pg'
import { type Library } from '@esfuerzo/core'
import type { Config } from './base/config.ts'
import { migrateDatabase, openDatabase, statementBounds } from './base/database.ts'
import { addDemo } from './demo/addDemo.ts'

/** Names the lock under which one server at a time prepares the database: an arbitrary number of ours. */
const startLock = 4_180_001

/**
 * Migrates the tables and adds the demo if wanted: one server at a time, however many start at once. A migration lock left by a killed
 * start is released: the holder of the start lock is the only one.
 *
 * @throws {Error} if the database cannot be reached or changed
 */
export async function prepareDatabase(
  { databaseUrl, demo, secret }: Pick<Config, 'databaseUrl' | 'demo' | 'secret'>,
  library: Library,
): Promise<void> {
  // A connection of its own: the lock ends with it, even if the process is killed.
  const holder = new pg.Client({ connectionString: databaseUrl, connectionTimeoutMillis: 3000 })
  holder.on('error', () => {})
  await holder.connect()
  // Migrations may take as long as they need.
  const db = openDatabase(databaseUrl, undefined, 'unbound')
  try {
    await holder.query('begin')
    await holder.query('set local statement_timeout = 0')
    await holder.query('set local lock_timeout = 0')
    await holder.query('set local idle_in_transaction_session_timeout = 0')
    await holder.query('select pg_advisory_xact_lock($1)', [startLock])
    await bindStatements(db)
    if (await db.schema.hasTable('knex_migrations_lock')) await db.migrate.forceFreeMigrationsLock()
    await migrateDatabase(db)
    if (demo) await addDemo(db, library, secret, new Date())
    await holder.query('commit')
  } finally {
    await Promise.allSettled([holder.end(), db.destroy()])
  }
}

/** From the next connection on nothing waits forever: set on the role, so that it holds behind any pooler. */
async function bindStatements(db: Knex): Promise<void> {
  for (const [name, value] of Object.entries(statementBounds))
    await db.raw(`alter role current_user set ${name} = '${value}'`)
}
