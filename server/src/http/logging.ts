import { randomUUID } from 'node:crypto'
import type { RequestHandler } from 'express'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'

/**
 * A request's path without what opens anything: tokens and snapshot hashes are cut out, queries dropped.
 *
 * @example loggedPath('/api/go/AbCdEfGhIjKlMnOpQrStUv/runs?x=1') // '/api/go/…/runs'
 */
export const loggedPath = (url: string): string =>
  (url.split('?')[0] ?? '').replace(/\/(go|snapshots|copies|copy|password|outbox)\/[^/]+/g, '/$1/…')

/** One structured line a request, with its id; no header, body, token or alias. */
export const requestLog = (logger: Logger): RequestHandler =>
  pinoHttp({
    logger,
    genReqId: () => randomUUID(),
    serializers: {
      req: (req: { id: string; method: string; url: string }) => ({
        id: req.id,
        method: req.method,
        path: loggedPath(req.url),
      }),
      res: (res: { statusCode: number }) => ({ status: res.statusCode }),
    },
    customLogLevel: (_req, res, error) =>
      error || res.statusCode >= 500 ? 'error' : res.statusCode >= 400 ? 'info' : 'debug',
  }) as RequestHandler
