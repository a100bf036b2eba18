import { createServer } from 'node:http'
import express from 'express'
import pg from 'pg'
import { indexLibrary } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import { createApp } from './app.ts'
import { ConfigError, readConfig, type Config } from './base/config.ts'
import { openDatabase, waitBounds } from './base/database.ts'
import { openDeletions } from './deletions/deletions.ts'
import { listenForGone } from './gone/gone.ts'
import { openHealth } from './http/health.ts'
import { Afterwards } from './http/afterwards.ts'
import { openLog } from './http/logging.ts'
import { metricsApp, openMetrics } from './metrics/metrics.ts'
import { openOutbox } from './mail/outbox.ts'
import { noPost } from './mail/post.ts'
import { outboxKey } from './mail/routes.ts'
import { smtpPost } from './mail/smtpPost.ts'
import { pagesFolder } from './pages/pagesFolder.ts'
import { prepareDatabase } from './prepareDatabase.ts'
import { keepCleanedUp } from './cleanup/cleanUp.ts'
import { ResultWriter } from './results/resultWriter.ts'
import { openJobPool } from './workers/jobPool.ts'

/** Exits with a message instead of a stack trace: what happened, and what to do. */
function giveUp(words: string): never {
  console.error(`\nEsfuerzo cannot start. ${words}\n`)
  process.exit(1)
}

function configured(): Config {
  try {
    return readConfig(process.env)
  } catch (error) {
    if (error instanceof ConfigError) giveUp(`${error.message}\nWhat each means is in docs/operations.md.`)
    throw error
  }
}

const config = configured()
const log = openLog(config.logLevel)
const library = indexLibrary({ ...libraryData, words: libraryWords })
const db = openDatabase(config.databaseUrl, log)
const pool = new pg.Pool({ connectionString: config.databaseUrl, max: 5, ...waitBounds })
// The pool handles a connection that dies while idle; it must not stop the server.
pool.on('error', (error) => log.warn({ err: error }, 'a database connection was lost'))

await prepareDatabase(config, library).catch((error: unknown) => {
  const { hostname, port, pathname } = new URL(config.databaseUrl)
  giveUp(
    `The database at ${hostname}:${port || 5432}${pathname} cannot be used: ${(error as Error).message || String(error)}\n` +
      'Nothing was changed. Is it running, and are DATABASE_URL and its password right?',
  )
})

const { mail } = config
const outbox = mail && 'folder' in mail ? openOutbox(mail.folder) : undefined
const smtp = mail && 'smtp' in mail ? smtpPost(mail.smtp, mail.from) : undefined
const metrics = openMetrics()
const post = metrics.countedPost(smtp ?? outbox ?? noPost)
if (!mail) {
  log.warn(
    'no mail is configured: nobody can make an account or choose a new password. Set SMTP_URL and MAIL_FROM, or OUTBOX',
  )
}
const health = openHealth(config.databaseUrl)
const gone = await listenForGone(config.databaseUrl, log)
const jobPool = openJobPool(config.jobSeconds)
const afterwards = new Afterwards(log)
const deletions = openDeletions(config.deletions)
metrics.watchDatabase(db, { log, milliseconds: config.slowStatement })
metrics.watchHealth(health)
metrics.watchJobs(jobPool)
const resultWriter = new ResultWriter(db, log)
const cleaning = keepCleanedUp({ db, outbox, library, deletions, log })

const server = createServer(
  createApp({
    config,
    db,
    health,
    pool,
    library,
    log,
    post,
    outbox: config.demo ? outbox : undefined,
    afterwards,
    deletions,
    gone,
    jobPool,
    resultWriter,
    metrics,
    pages: pagesFolder,
  }),
)
server.on('error', (error: NodeJS.ErrnoException) =>
  giveUp(`${config.host}:${config.port} cannot be listened on: ${error.message}. Set PORT or HOST.`),
)
server.listen(config.port, config.host, () => {
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : config.port
  log.info({ port, origin: config.publicOrigin, demo: config.demo, mail: mail && Object.keys(mail)[0] }, 'listening')
  process.send?.({ listening: port, demo: config.demo, ...(config.demo && { outboxKey: outboxKey(config.secret) }) })
})

const { metrics: door } = config
const measured = door && createServer(metricsApp(express(), metrics)).listen(door.port, door.host)
measured?.on('error', (error) =>
  giveUp(`The metrics' door ${door!.host}:${door!.port} cannot be listened on: ${error.message}.`),
)
measured?.on('listening', () => log.info({ ...door }, 'metrics can be asked for'))

/** Milliseconds for running requests to finish once the server is told to stop. */
const patience = 10_000

let stopping = false
function stop(signal: string): void {
  if (stopping) return
  stopping = true
  log.info({ signal, drain: config.drain }, 'stopping; running requests finish first')
  health.stop()
  cleaning.stop()
  setTimeout(end, config.drain * 1000)
}
function end(): void {
  setTimeout(() => process.exit(1), patience).unref()
  server.close(async () => {
    await Promise.all([afterwards.flush(), resultWriter.close()])
    smtp?.close()
    measured?.close()
    await Promise.allSettled([db.destroy(), pool.end(), gone.close(), health.close(), jobPool.close()])
    process.exit(0)
  })
  server.closeIdleConnections()
}
process.on('SIGINT', () => stop('SIGINT'))
process.on('SIGTERM', () => stop('SIGTERM'))
process.on('disconnect', () => stop('disconnect'))
