import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import type { Outline } from '@esfuerzo/core/publication'
import type { Gone } from '../gone/gone.ts'
import { tokenHash } from '../http/linkToken.ts'
import { ServerError } from '../http/serverError.ts'
import { wholeOutline } from '../snapshots/outline.ts'
import { findForRun } from '../publications/store.ts'

/** What a run is checked against for a link; it never changes. Whether the link still accepts runs is checked when one is stored. */
export interface RunLink {
  /** The publication. */
  id: string
  teacherId: string
  tokenHash: string
  sha256: string
  outline: Outline
}

/**
 * Links that runs arrive through, cached in memory: a class sends thirty through one in an evening. Deletions are removed at once, and
 * while deletion notices are not received nothing is answered from memory.
 *
 * @returns the target of a token, active or ended; throws {ServerError} `not-found` for an unknown token
 */
export function runLinks(db: Knex, gone: Gone): (token: string) => Promise<RunLink> {
  const find = async (hash: string): Promise<RunLink | undefined> => {
    const found = await findForRun(db, hash)
    return found && { ...found, tokenHash: hash, outline: await wholeOutline(db, found.sha256, found.outline) }
  }
  const cache = new LRUCache<string, RunLink>({
    maxSize: 16 * 1024 * 1024,
    sizeCalculation: ({ outline }) => JSON.stringify(outline).length,
    fetchMethod: find,
    // A waiting request gets its link even if it was dropped meanwhile.
    ignoreFetchAbort: true,
  })
  // All of them, including those being read: it costs one statement each, and is rare.
  gone.onGone(() => cache.clear())
  return async (token) => {
    const hash = tokenHash(token)
    const link = gone.heard ? await cache.fetch(hash) : await find(hash)
    if (!link) throw new ServerError('not-found')
    return link
  }
}
