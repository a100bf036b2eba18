import { readFileSync } from 'node:fs'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import type { RequestHandler } from 'express'

/** What is sent with an entry page. */
type Headers = Readonly<Record<string, string>>

/**
 * The entry page of a set of pages: read and compressed once, because every family requests it. Browsers always revalidate it, so that an
 * update is found, and get 304 if it is unchanged.
 */
export function entryPage(file: string, headers: Headers = {}): RequestHandler {
  const identity = readFileSync(file)
  const encoded = { br: brotliCompressSync(identity), gzip: gzipSync(identity), identity }
  return (req, res) => {
    res.set({ 'Cache-Control': 'no-cache', Vary: 'Accept-Encoding', ...headers })
    // The smallest encoding the browser accepts: browsers list gzip first and do not mean it as a preference.
    const encoding = (['br', 'gzip'] as const).find((e) => req.acceptsEncodings(e))
    if (encoding) res.set('Content-Encoding', encoding)
    res.type('html').send(encoded[encoding ?? 'identity'])
  }
}
