import { randomUUID } from 'node:crypto'
import type { RequestHandler } from 'express'
import { pino, type DestinationStream, type Logger } from 'pino'
import { pinoHttp } from 'pino-http'

/**
 * A request's path without secrets: tokens and snapshot hashes are removed, and queries dropped.
 *
 * @example loggedPath('/api/go/AbCdEfGhIjKlMnOpQrStUv/runs?x=1') // '/api/go/…/runs'
 */
export const loggedPath = (url: string): string =>
  (url.split('?')[0] ?? '').replace(/\/(go|snapshots|copies|copy|password|sign-in|outbox)\/[^/]+/g, '/$1/…')

/** A text without e-mail addresses. */
const withoutAddresses = (text: string): string => text.replace(/[^\s<>"']+@[^\s<>"']+/g, '…')

/**
 * An error as logged: for a database error, only the fields that name its place, because its message may contain personal text.
 *
 * @example loggedError(Object.assign(new Error('bad "secret"'), { routine: 'f', code: '22P05' })) // { code: '22P05', routine: 'f', … }
 */
export function loggedError(error: unknown): Record<string, unknown> {
  if (!(error instanceof Error)) return { type: typeof error }
  const { code, routine, table, column, constraint, stack = '' } = error as Error & Record<string, string | undefined>
  const frames = stack.split('\n').filter((line) => line.startsWith('    at '))
  // A mail server's error names the recipient.
  const about = routine ? { routine, table, column, constraint } : { message: withoutAddresses(error.message) }
  return { type: error.name, code, ...about, at: frames.slice(0, 8).map((line) => line.trim()) }
}

/** A server's log; errors say no more than {@link loggedError}. @param stream where it goes; standard output by default */
export const openLog = (level: string, stream?: DestinationStream): Logger =>
  pino({ level, serializers: { err: loggedError } }, stream as DestinationStream)

/** How often an outage is logged, in milliseconds. */
const said = 10_000

/** Logs many unavailable answers as one line at the first, then a count every ten seconds. */
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

/** One structured line per request, with its id; no header, body, token or alias. Answers with 503 are counted instead. */
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
