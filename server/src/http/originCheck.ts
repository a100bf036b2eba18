import { isIP } from 'node:net'
import type { RequestHandler } from 'express'
import { ServerError } from './serverError.ts'

const reads = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Whether a host is a number or this machine, for use if no public origin is configured. A name could be pointed here by anybody. */
function ownOrigin(protocol: string, host: string): string | undefined {
  const { hostname } = new URL(`http://${host}`)
  const number = hostname.replace(/^\[|\]$/g, '')
  return hostname === 'localhost' || isIP(number) ? `${protocol}://${host}` : undefined
}

/**
 * Refuses writes that do not come from our own pages. Browsers send `Origin` with every request that is not a read, so one without it is
 * also refused (https://www.rfc-editor.org/rfc/rfc6454#section-7.3).
 *
 * @param publicOrigin the pages' public address; by default the request's own host, if it is a number
 */
export const originCheck =
  (publicOrigin?: string): RequestHandler =>
  (req, _res, next) => {
    if (reads.has(req.method)) return next()
    const host = req.get('host') ?? ''
    const own = publicOrigin ?? (URL.canParse(`http://${host}`) ? ownOrigin(req.protocol, host) : undefined)
    next(own !== undefined && req.get('origin') === own ? undefined : new ServerError('foreign-origin'))
  }
