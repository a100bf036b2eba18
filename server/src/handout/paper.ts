import { createHash } from 'node:crypto'
import { LRUCache } from 'lru-cache'
import type { Gone } from '../gone/gone.ts'
import type { JobPool } from '../workers/jobPool.ts'
import type { Draft, Jobs, Sheet } from '../workers/jobs.ts'

/** Sheets as PDF, each made once: asking again, or at the same time, costs nothing. */
export interface PaperStore {
  /** Of the current session. */
  draft: (teacherId: string, draft: Draft, sheet: Sheet) => Promise<Uint8Array>
  /** Its checks, for the teacher. */
  look: (teacherId: string, asked: Jobs['lookSheet']['asked']) => Promise<Uint8Array>
  /**
   * A sheet of a publication.
   *
   * @param read reads its body, if the sheet has to be made
   */
  sent: (snapshot: { sha256: string; owner: string; read: () => Promise<string> }, sheet: Sheet) => Promise<Uint8Array>
}

const keyOf = (owner: string, content: string, sheet: Sheet) =>
  [owner, content, sheet.kind, sheet.language, sheet.paper, sheet.lanes?.join(',') ?? ''].join(' ')

export function openPaperStore(pool: JobPool, gone: Gone): PaperStore {
  const cache = new LRUCache<string, Uint8Array, () => Promise<Uint8Array>>({
    maxSize: 32 * 1024 * 1024,
    sizeCalculation: (pdf) => pdf.length,
    ttl: 60 * 60 * 1000,
    fetchMethod: (_key, _stale, { context }) => context(),
    // A waiting request gets its sheet even if its key was dropped meanwhile.
    ignoreFetchAbort: true,
  })
  gone.onGone((thing) => {
    if (!thing) return cache.clear()
    const owner = 'snapshot' in thing ? thing.snapshot : thing.teacher
    for (const key of cache.keys()) if (key.startsWith(`${owner} `)) cache.delete(key)
  })
  const kept = async (key: string, make: () => Promise<Uint8Array>) =>
    gone.heard ? (await cache.fetch(key, { context: make }))! : make()
  return {
    draft: (teacherId, draft, sheet) => {
      const content = createHash('sha256').update(JSON.stringify(draft)).digest('hex')
      return kept(keyOf(teacherId, content, sheet), () => pool.run('draftSheet', { draft, sheet }, teacherId))
    },
    look: (teacherId, asked) => pool.run('lookSheet', asked, teacherId),
    sent: ({ sha256, owner, read }, sheet) =>
      kept(keyOf(sha256, '', sheet), async () => pool.run('sentSheet', { body: await read(), sheet }, owner)),
  }
}
