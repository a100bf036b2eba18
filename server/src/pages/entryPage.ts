import { readFileSync } from 'node:fs'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import type { RequestHandler } from 'express'

/** What is sent with an entry page. */
type Headers = Readonly<Record<string, string>>

/**
 * The page that everything of a set begins with: read and compressed once, since every family asks for it. It is always asked for
 * anew, so that an update is found, and answered 304 where it is the same.
 */
export function entryPage(file: string, headers: Headers = {}): RequestHandler {
  const identity = readFileSync(file)
  const encoded = { br: brotliCompressSync(identity), gzip: gzipSync(identity), identity }
  return (req, res) => {
    res.set({ 'Cache-Control': 'no-cache', Vary: 'Accept-Encoding', ...headers })
    // The smallest the browser takes: browsers name gzip first and mean no preference.
    const encoding = (['br', 'gzip'] as const).find((e) => req.acceptsEncodings(e))
    if (encoding) res.set('Content-Encoding', encoding)
    res.type('html').send(encoded[encoding ?? 'identity'])
  }
}
