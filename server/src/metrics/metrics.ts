import type { Express, RequestHandler } from 'express'
import type { Knex } from 'knex'
import type { Logger } from 'pino'
import { Counter, Gauge, Histogram, Registry, collectDefaultMetrics } from 'prom-client'
import type { ErrorCode } from '@esfuerzo/contract'
import type { Health } from '../http/health.ts'
import type { Post } from '../mail/post.ts'
import type { JobPool } from '../workers/jobPool.ts'

/** Request durations in seconds, from one answered from memory to a timeout. */
const requestBuckets = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10]
/** Statement durations in seconds, up to the limit. */
const statementBuckets = [0.001, 0.0025, 0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 5, 10]
/** How much of a slow statement is logged. */
const spoken = 400

/** What a server measures: numbers only, no names. */
export interface Metrics {
  /** Counts and times every request, by its route in the contract. */
  requests: RequestHandler
  /** Counts failures, by code. */
  failed: (code: ErrorCode) => void
  /** Times every statement of a pool; a slow one is logged with its text, never with its values. */
  watchDatabase: (db: Knex, slow: { log: Logger; milliseconds: number }) => void
  watchHealth: (health: Health) => void
  watchJobs: (jobs: Pick<JobPool, 'load'>) => void
  /** The same mailer, with counting. */
  countedPost: (post: Post) => Post
  /** All metrics in the text format of Prometheus (https://prometheus.io/docs/instrumenting/exposition_formats/, version 0.0.4). */
  text: () => Promise<string>
  contentType: string
}

/** The route that answered, as the contract writes it: an address may hold a token. */
const routeOf = (req: { route?: { path?: unknown } }): string =>
  typeof req.route?.path === 'string' ? req.route.path : 'pages'

function watchStatements(registry: Registry, db: Knex, { log, milliseconds }: { log: Logger; milliseconds: number }) {
  const seconds = new Histogram({
    name: 'esfuerzo_database_statement_seconds',
    help: 'How long statements take, from sending one to its answer.',
    buckets: statementBuckets,
    registers: [registry],
  })
  const slow = new Counter({
    name: 'esfuerzo_database_slow_statements_total',
    help: 'Statements slower than SLOW_STATEMENT milliseconds.',
    registers: [registry],
  })
  const begun = new Map<string, number>()
  const ended = ({ __knexQueryUid: id, sql }: { __knexQueryUid: string; sql: string }) => {
    const from = begun.get(id)
    begun.delete(id)
    if (from === undefined) return
    const took = performance.now() - from
    seconds.observe(took / 1000)
    if (took < milliseconds) return
    slow.inc()
    log.warn({ statement: sql.slice(0, spoken), ms: Math.round(took) }, 'a slow statement')
  }
  type Query = { __knexQueryUid: string; sql: string }
  db.on('query', ({ __knexQueryUid: id }: Query) => void begun.set(id, performance.now()))
  db.on('query-response', (_: unknown, query: Query) => ended(query))
  db.on('query-error', (_: unknown, query: Query) => ended(query))
  const { pool } = db.client as { pool: { numUsed(): number; numFree(): number; numPendingAcquires(): number } }
  new Gauge({
    name: 'esfuerzo_database_connections',
    help: 'Connections of the pool, and who waits for one.',
    labelNames: ['state'],
    registers: [registry],
    collect() {
      this.set({ state: 'used' }, pool.numUsed())
      this.set({ state: 'free' }, pool.numFree())
      this.set({ state: 'waited-for' }, pool.numPendingAcquires())
    },
  })
}

/** Metrics of one server, in a registry of their own. */
export function openMetrics(): Metrics {
  const registry = new Registry()
  const registers = [registry]
  collectDefaultMetrics({ register: registry })
  const requests = new Histogram({
    name: 'esfuerzo_http_request_seconds',
    help: 'How long requests take, from the first byte to the last of the answer.',
    labelNames: ['method', 'route', 'status'],
    buckets: requestBuckets,
    registers,
  })
  const errors = new Counter({
    name: 'esfuerzo_errors_total',
    help: 'What was refused or could not be done, by its code.',
    labelNames: ['code'],
    registers,
  })
  const messages = new Counter({
    name: 'esfuerzo_messages_total',
    help: 'Messages that left, and that could not.',
    labelNames: ['outcome'],
    registers,
  })
  return {
    requests: (req, res, next) => {
      const end = requests.startTimer({ method: req.method })
      res.once('close', () => end({ route: routeOf(req), status: String(res.statusCode) }))
      next()
    },
    failed: (code) => errors.inc({ code }),
    watchDatabase: (db, slow) => watchStatements(registry, db, slow),
    watchHealth: (health) =>
      void new Gauge({
        name: 'esfuerzo_well',
        help: '1 where the database answers within a second, where there was room to write in the last minute.',
        labelNames: ['part'],
        registers,
        async collect() {
          this.set({ part: 'database' }, Number(await health.database()))
          this.set({ part: 'storage' }, Number(!health.isStorageFull()))
        },
      }),
    watchJobs: (jobs) =>
      void new Gauge({
        name: 'esfuerzo_jobs',
        help: 'Pieces of long work that wait, and that are done.',
        labelNames: ['state'],
        registers,
        collect() {
          const { waiting, running } = jobs.load()
          this.set({ state: 'waiting' }, waiting)
          this.set({ state: 'running' }, running)
        },
      }),
    countedPost: (post) => ({
      ...post,
      send: async (letter) => {
        try {
          await post.send(letter)
          messages.inc({ outcome: 'sent' })
        } catch (error) {
          messages.inc({ outcome: 'failed' })
          throw error
        }
      },
    }),
    text: () => registry.metrics(),
    contentType: registry.contentType,
  }
}

/** The only page of the metrics' own port. */
export function metricsApp(app: Express, metrics: Metrics): Express {
  app.disable('x-powered-by')
  app.get('/metrics', async (_req, res) => void res.type(metrics.contentType).send(await metrics.text()))
  return app
}
