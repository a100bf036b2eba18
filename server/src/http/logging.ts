import { randomUUID } from 'node:crypto'
import type { RequestHandler } from 'express'
import { pino, type DestinationStream, type Logger } from 'pino'
import { pinoHttp } from 'pino-http'

/**
 * A request's path without what opens anything: tokens and snapshot hashes are cut out, queries dropped.
 *
 * @example loggedPath('/api/go/AbCdEfGhIjKlMnOpQrStUv/runs?x=1') // '/api/go/…/runs'
 */
export const loggedPath = (url: string): string =>
  (url.split('?')[0] ?? '').replace(/\/(go|snapshots|copies|copy|password|sign-in|outbox)\/[^/]+/g, '/$1/…')

/** A text without e-mail addresses. */
const withoutAddresses = (text: string): string => text.replace(/[^\s<>"']+@[^\s<>"']+/g, '…')

/**
 * An error as it is logged: of the database's own only what names the place. Its words may hold what somebody wrote.
 *
 * @example loggedError(Object.assign(new Error('bad "secret"'), { routine: 'f', code: '22P05' })) // { code: '22P05', routine: 'f', … }
 */
export function loggedError(error: unknown): Record<string, unknown> {
  if (!(error instanceof Error)) return { type: typeof error }
  const { code, routine, table, column, constraint, stack = '' } = error as Error & Record<string, string | undefined>
  const frames = stack.split('\n').filter((line) => line.startsWith('    at '))
  // A mail server says to whom it could not write.
  const about = routine ? { routine, table, column, constraint } : { message: withoutAddresses(error.message) }
  return { type: error.name, code, ...about, at: frames.slice(0, 8).map((line) => line.trim()) }
}

/** A server's log; errors say no more than {@link loggedError}. @param stream where it goes; standard output by default */
export const openLog = (level: string, stream?: DestinationStream): Logger =>
  pino({ level, serializers: { err: loggedError } }, stream as DestinationStream)

/** So often an outage is spoken of, in milliseconds. */
const said = 10_000

/** Of many answers that the server is not available, a line at the first and then a number every ten seconds. */
function outageTally(logger: Logger): () => void {
  let more = 0
  let timer: NodeJS.Timeout | undefined
  const after = () => {
    timer = undefined
    if (more === 0) return
    logger.error({ answers: more }, 'still not available')
    more = 0
    timer = setTimeout(after, said).unref()
  }
  return () => {
    if (timer) return void more++
    logger.error('not available: requests are answered 503')
    timer = setTimeout(after, said).unref()
  }
}

/** One structured line a request, with its id; no header, body, token or alias. Those answered 503 are counted in place of that. */
export function requestLog(logger: Logger): RequestHandler {
  const unavailable = outageTally(logger)
  return pinoHttp({
    logger,
    genReqId: () => randomUUID(),
    serializers: {
      req: (req: { id: string; method: string; url: string }) => ({
        id: req.id,
        method: req.method,
        path: loggedPath(req.url),
      }),
      res: (res: { statusCode: number }) => ({ status: res.statusCode }),
      err: () => undefined,
    },
    customLogLevel: (_req, res, error) => {
      if (res.statusCode === 503) {
        unavailable()
        return 'silent'
      }
      return error || res.statusCode >= 500 ? 'error' : res.statusCode >= 400 ? 'info' : 'debug'
    },
  }) as RequestHandler
}
