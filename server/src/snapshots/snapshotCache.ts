import { promisify } from 'node:util'
import { brotliCompress, constants, gzip } from 'node:zlib'
import { LRUCache } from 'lru-cache'
import type { Gone } from '../gone/gone.ts'

const brotli = promisify(brotliCompress)
const zip = promisify(gzip)

/** A snapshot in every encoding a browser may request. */
export interface Encoded {
  identity: Buffer
  br: Buffer
  gzip: Buffer
}

/**
 * Snapshots cached in memory, compressed once. They never change, so a cached one needs no database; a deleted one is removed at once, and
 * while deletion notices are not received nothing is answered from memory.
 *
 * @param read from the database
 */
export function snapshotCache(read: (sha256: string) => Promise<string | undefined>, gone: Gone) {
  const cache = new LRUCache<string, Encoded>({
    maxSize: 32 * 1024 * 1024,
    sizeCalculation: (e) => e.identity.length + e.br.length + e.gzip.length,
  })
  // What was read before a deletion must not be cached after it.
  let deletions = 0
  gone.onGone((thing) => {
    deletions++
    if (!thing) cache.clear()
    else if ('snapshot' in thing) cache.delete(thing.snapshot)
  })
  return async (sha256: string): Promise<Encoded | undefined> => {
    const known = gone.heard ? cache.get(sha256) : undefined
    if (known) return known
    const before = deletions
    const body = await read(sha256)
    if (body === undefined) return undefined
    const identity = Buffer.from(body)
    const encoded = {
      identity,
      br: await brotli(identity, { params: { [constants.BROTLI_PARAM_QUALITY]: 6 } }),
      gzip: await zip(identity),
    }
    if (gone.heard && deletions === before) cache.set(sha256, encoded)
    return encoded
  }
}
