import type { RequestHandler } from 'express'
import { ServerError } from './serverError.ts'

const reads = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * Refuses writes that do not come from our own pages. Browsers send `Origin` with every request that is not a
 * read, so one without it is refused too (https://www.rfc-editor.org/rfc/rfc6454#section-7.3).
 *
 * @param publicOrigin where pages are reached from outside; left out, the request's own host counts
 */
export const originCheck =
  (publicOrigin?: string): RequestHandler =>
  (req, _res, next) => {
    if (reads.has(req.method)) return next()
    const own = publicOrigin ?? `${req.protocol}://${req.get('host')}`
    next(req.get('origin') === own ? undefined : new ServerError('foreign-origin'))
  }
