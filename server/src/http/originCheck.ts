import { isIP } from 'node:net'
import type { RequestHandler } from 'express'
import { ServerError } from './serverError.ts'

const reads = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * Where a request says it goes, when nobody said where that is: by number or on this machine only. A name could be anybody's who
 * has it lead here.
 */
function ownOrigin(protocol: string, host: string): string | undefined {
  const { hostname } = new URL(`http://${host}`)
  const number = hostname.replace(/^\[|\]$/g, '')
  return hostname === 'localhost' || isIP(number) ? `${protocol}://${host}` : undefined
}

/**
 * Refuses writes that do not come from our own pages. Browsers send `Origin` with every request that is not a
 * read, so one without it is refused too (https://www.rfc-editor.org/rfc/rfc6454#section-7.3).
 *
 * @param publicOrigin where pages are reached from outside; left out, the request's own host counts where it is a number
 */
export const originCheck =
  (publicOrigin?: string): RequestHandler =>
  (req, _res, next) => {
    if (reads.has(req.method)) return next()
    const host = req.get('host') ?? ''
    const own = publicOrigin ?? (URL.canParse(`http://${host}`) ? ownOrigin(req.protocol, host) : undefined)
    next(own !== undefined && req.get('origin') === own ? undefined : new ServerError('foreign-origin'))
  }
