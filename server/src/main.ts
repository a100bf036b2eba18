import { createServer } from 'node:http'
import pg from 'pg'
import { pino } from 'pino'
import { indexLibrary } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import { createApp } from './app.ts'
import { readConfig } from './config.ts'
import { migrateDatabase, openDatabase } from './database.ts'
import { addDemo } from './demo/addDemo.ts'
import { openDeletions } from './deletions/deletions.ts'
import { listenForGone } from './gone/gone.ts'
import { openOutbox } from './outbox/outbox.ts'
import { openWorkPool } from './workers/workPool.ts'
import { pagesFolder } from './pages/pagesFolder.ts'

const config = readConfig(process.env)
const log = pino({ level: config.logLevel })
const library = indexLibrary({ ...libraryData, words: libraryWords })
const db = openDatabase(config.databaseUrl, log)
const pool = new pg.Pool({ connectionString: config.databaseUrl, max: 5, connectionTimeoutMillis: 3000 })
// A connection that dies while idle is the pool's business, not the end of the server.
pool.on('error', (error) => log.warn({ err: error }, 'a database connection was lost'))

await migrateDatabase(db)
if (config.demo) await addDemo(db, library, config.secret, new Date())

const gone = await listenForGone(config.databaseUrl, log)
const workPool = openWorkPool()

const server = createServer(
  createApp({
    config,
    db,
    pool,
    library,
    log,
    outbox: openOutbox(config.outbox),
    deletions: openDeletions(config.deletions),
    gone,
    workPool,
    pages: pagesFolder,
  }),
)
server.listen(config.port, config.host, () => {
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : config.port
  log.info({ port }, 'listening')
  process.send?.({ listening: port })
})

/** How long running requests may take to finish once the server is told to stop, in milliseconds. */
const patience = 10_000

let stopping = false
function stop(signal: string): void {
  if (stopping) return
  stopping = true
  log.info({ signal }, 'stopping; running requests finish first')
  const late = setTimeout(() => process.exit(1), patience)
  late.unref()
  server.close(async () => {
    await Promise.allSettled([db.destroy(), pool.end(), gone.close(), workPool.close()])
    process.exit(0)
  })
  server.closeIdleConnections()
}
process.on('SIGINT', () => stop('SIGINT'))
process.on('SIGTERM', () => stop('SIGTERM'))
process.on('disconnect', () => stop('disconnect'))
