import { existsSync } from 'node:fs'
import compression from 'compression'
import express, { type ErrorRequestHandler, type Express } from 'express'
import session from 'express-session'
import helmet from 'helmet'
import type { Knex } from 'knex'
import type { Pool } from 'pg'
import type { Logger } from 'pino'
import { limits as documentLimits, type Library } from '@esfuerzo/core'
import { endpoints } from '@esfuerzo/contract'
import { accountRoutes } from './accounts/routes.ts'
import { knownDevices } from './accounts/knownDevice.ts'
import { signInStore } from './accounts/signInStore.ts'
import { bookRoutes } from './book/routes.ts'
import { classRoutes } from './classes/routes.ts'
import type { Config } from './base/config.ts'
import { copyRoutes } from './copies/routes.ts'
import type { Deletions } from './deletions/deletions.ts'
import type { Gone } from './gone/gone.ts'
import { eventRoutes } from './events/routes.ts'
import { exportRoutes } from './export/routes.ts'
import { familySheetRoutes, handoutRoutes } from './handout/routes.ts'
import { healthRoutes, type Health } from './http/health.ts'
import type { Afterwards } from './http/afterwards.ts'
import { Counter, defaultLimits, type Limits } from './http/limits.ts'
import { loggedError, requestLog } from './http/logging.ts'
import { oneProxy } from './http/oneProxy.ts'
import { originCheck } from './http/originCheck.ts'
import { problemDocument, ServerError, toServerError } from './http/serverError.ts'
import type { Metrics } from './metrics/metrics.ts'
import { moveRoutes } from './moves/routes.ts'
import type { Outbox } from './mail/outbox.ts'
import type { Post } from './mail/post.ts'
import { outboxRoutes } from './mail/routes.ts'
import { servePages } from './pages/servePages.ts'
import { codeRoutes, pupilRoutes } from './pupils/routes.ts'
import { linkRoutes, publicationRoutes } from './publications/routes.ts'
import type { ResultWriter } from './results/resultWriter.ts'
import { runListRoutes, runSendRoutes } from './runs/routes.ts'
import { schemaRoutes } from './schemas.ts'
import { settingsRoutes } from './settings/routes.ts'
import { shelfRoutes } from './shelf/routes.ts'
import { originalRoutes } from './originals/routes.ts'
import { openPaperStore } from './handout/paper.ts'
import { subscribedTermRoutes, termRoutes } from './terms/routes.ts'
import { openSessionMinutes } from './terms/sessionMinutes.ts'
import type { JobPool } from './workers/jobPool.ts'
import { sessionRoutes } from './sessions/routes.ts'

/** Everything the application needs from outside. */
export interface AppParts {
  config: Pick<Config, 'secret' | 'publicOrigin' | 'trustProxy' | 'pagesAt'>
  db: Knex
  health: Health
  /** For sign-in sessions. */
  pool: Pool
  library: Library
  log: Logger
  post: Post
  /** Where messages can be viewed; in the demo only. */
  outbox?: Outbox | undefined
  /** Runs work after the response is sent. */
  afterwards: Afterwards
  /** Records permanent deletions. */
  deletions: Deletions
  /** Receives notices of deletions. */
  gone: Gone
  /** Where long work is done. */
  jobPool: JobPool
  /** Writes the results of runs, after the runs themselves. */
  resultWriter: ResultWriter
  limits?: Limits
  /** Counters and timers. */
  metrics?: Metrics
  /** Folder of the built pages, with `teacher/` and `family/`; without it only the API is served. */
  pages?: string
}

/** What pages may use of a device: Bluetooth for the belt, and keeping the screen on. */
const permissions =
  'bluetooth=(self), screen-wake-lock=(self), camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), midi=()'

const week = 7 * 24 * 60 * 60 * 1000

/** The server as an Express application. It keeps no state that another server would need. */
// oxlint-disable-next-line max-lines-per-function -- the parts of the server put together in order, one after the other
export function createApp({
  config,
  db,
  health,
  pool,
  library,
  log,
  post,
  outbox,
  afterwards,
  deletions,
  gone,
  jobPool,
  resultWriter,
  limits = defaultLimits,
  metrics,
  pages,
}: AppParts): Express {
  const app = express()
  const secure = config.publicOrigin?.startsWith('https:') ?? false
  app.disable('x-powered-by')
  app.set('trust proxy', oneProxy(config.trustProxy))
  app.set('query parser', 'simple')
  app.use(requestLog(log))
  if (metrics) app.use(metrics.requests)
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          'default-src': ["'self'"],
          'script-src': ["'self'"],
          // Vuetify writes its theme, and charts their tooltips, as inline styles.
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:'],
          'object-src': ["'none'"],
          'base-uri': ["'self'"],
          'form-action': ["'self'"],
          'frame-ancestors': ["'none'"],
        },
      },
      strictTransportSecurity: secure,
      referrerPolicy: { policy: 'no-referrer' },
      xFrameOptions: { action: 'deny' },
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  )
  app.use((req, res, next) => {
    res.set('Permissions-Policy', permissions)
    // Responses with data are not cached anywhere on the way; what may be cached says so.
    if (req.path.startsWith('/api/')) res.set('Cache-Control', 'no-store')
    next()
  })
  app.use(compression())
  app.use(originCheck(config.publicOrigin))

  // Routes without a sign-in come first, so that a family's request never reads the session table.
  const json = express.json({ limit: documentLimits.bytes + 4096, strict: true })
  const smallJson = express.json({ limit: 4096, strict: true })
  const openPosts = new Set(
    Object.values(endpoints)
      .filter((e) => e.access === 'anyone' && e.method === 'POST')
      .map((e) => e.path),
  )
  healthRoutes(app, health)
  schemaRoutes(app)
  const paper = openPaperStore(jobPool, gone)
  linkRoutes(app, db, gone)
  app.use('/api/go', json)
  runSendRoutes(app, { db, limits, secret: config.secret, gone, resultWriter })
  codeRoutes(app, db, limits, config.secret)
  familySheetRoutes(app, db, limits, paper)
  const minutes = openSessionMinutes(db, jobPool)
  subscribedTermRoutes(app, db, minutes)

  app.use(
    '/api',
    session({
      // A cookie bound to this host, if the browser supports that prefix (RFC 6265bis).
      name: secure ? '__Host-esfuerzo' : 'esfuerzo',
      secret: config.secret,
      store: signInStore(pool, log),
      resave: false,
      saveUninitialized: false,
      rolling: true,
      cookie: {
        httpOnly: true,
        sameSite: 'lax',
        secure,
        maxAge: 2 * week,
      },
    }),
    (req, res, next) => {
      // A body is read only once its sender is known; what anyone may send is small.
      if (req.session.teacherId) return json(req, res, next)
      if (req.method === 'POST' && openPosts.has(`/api${req.path}`)) return smallJson(req, res, next)
      next()
    },
  )
  const { secret, pagesAt } = config
  const written = new Counter(db, 'mail-written', limits.written)
  const known = knownDevices(secret, secure)
  accountRoutes(app, { db, limits, post, afterwards, deletions, known, pagesAt, demo: outbox !== undefined })
  settingsRoutes(app, db)
  sessionRoutes(app, db, library, deletions)
  originalRoutes(app, db, deletions)
  copyRoutes(app, { db, secret, post, written, pagesAt })
  shelfRoutes(app, db, deletions)
  moveRoutes(app, db, library, deletions)
  exportRoutes(app, db)
  eventRoutes(app, db)
  outboxRoutes(app, outbox, secret)
  publicationRoutes(app, db, jobPool, secret)
  runListRoutes(app, db, deletions)
  classRoutes(app, db, deletions, jobPool)
  pupilRoutes(app, { db, deletions, jobPool, secret })
  bookRoutes(app, db, jobPool)
  termRoutes(app, { db, minutes, secret, post, written, pagesAt })
  handoutRoutes(app, { db, paper, secret, post, written, pagesAt })

  if (pages && existsSync(pages)) servePages(app, pages)

  app.use((_req, _res, next) => next(new ServerError('not-found')))
  const onError: ErrorRequestHandler = (thrown, req, res, _next) => {
    const error = toServerError(thrown)
    metrics?.failed(error.code)
    if (error.code === 'unexpected') req.log.error({ error: loggedError(error.cause) }, 'unexpected')
    if (error.code === 'storage-full') health.metFullStorage()
    if (res.headersSent) {
      // The answer is already sent: either only extending the sign-in failed, or the answer broke off in the middle, which the client must
      // notice.
      if (!res.writableEnded) res.destroy()
      return
    }
    const document = problemDocument(error, String(req.id))
    res.status(document.status).type('application/problem+json').send(JSON.stringify(document))
  }
  app.use(onError)
  return app
}
