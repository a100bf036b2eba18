import { promisify } from 'node:util'
import { brotliCompress, constants, gzip } from 'node:zlib'
import { LRUCache } from 'lru-cache'

const brotli = promisify(brotliCompress)
const zip = promisify(gzip)

/** A snapshot in every encoding a browser may ask for. */
export interface Encoded {
  identity: Buffer
  br: Buffer
  gzip: Buffer
}

/**
 * Snapshots kept in memory, compressed once. They never change, so once warm no request needs the database.
 *
 * @param read from the database
 */
export function snapshotCache(read: (sha256: string) => Promise<string | undefined>) {
  const cache = new LRUCache<string, Encoded>({
    maxSize: 64 * 1024 * 1024,
    sizeCalculation: (e) => e.identity.length + e.br.length + e.gzip.length,
  })
  return async (sha256: string): Promise<Encoded | undefined> => {
    const known = cache.get(sha256)
    if (known) return known
    const body = await read(sha256)
    if (body === undefined) return undefined
    const identity = Buffer.from(body)
    const encoded = {
      identity,
      br: await brotli(identity, { params: { [constants.BROTLI_PARAM_QUALITY]: 6 } }),
      gzip: await zip(identity),
    }
    cache.set(sha256, encoded)
    return encoded
  }
}
