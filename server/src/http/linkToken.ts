import { createHash, createHmac } from 'node:crypto'

/** What a link leads to: each kind has its own tokens. */
export type LinkKind = 'publication' | 'copy' | 'term'

/**
 * The token of a link: the first 128 bits of an HMAC of its target under the server's secret, in base64url. It can always be generated
 * again, so a sheet can be printed twice and nothing secret is stored.
 */
export const linkToken = (kind: LinkKind, id: string, secret: string): string =>
  createHmac('sha256', secret).update(`${kind}:${id}`).digest().subarray(0, 16).toString('base64url')

/** A token is looked up by its hash, which opens nothing. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex')
