import * as z from 'zod/mini'
import type { RouteLocationRaw } from 'vue-router'
import { keptCellShape } from '../classes/book/keptCells.ts'
import { draftShape } from '../documents/drafts.ts'
import { deviceStore } from '../shared/device/deviceStore.ts'
import { isOwners } from '../shared/device/owner.ts'
import { keptAs } from '../shared/keptAs.ts'

/** Work of the signed-in teacher that this device has and the server does not. */
export interface UnsentWork {
  kind: 'session' | 'term' | 'results'
  title: string
  /** Of results, how many values. */
  count: number
  /** Where it goes on. */
  to: RouteLocationRaw
  /** What is kept, in its stored form. */
  kept: unknown[]
}

const titled = z.looseObject({ title: z.string(), format: z.optional(z.string()) })
/** Work of another teacher is not read, and is deleted after this long, in milliseconds: she does not come back here. */
const forgotten = 30 * 24 * 60 * 60 * 1000

const drafts = deviceStore('drafts')
const cells = deviceStore('classBook')
const none = (): [string, unknown][] => []

interface Owned {
  owner?: string
  at?: number
}

/** The unsent work, by name; empty if the device keeps nothing. */
export async function unsentWork(): Promise<UnsentWork[]> {
  const found: UnsentWork[] = []
  for (const [key, value] of await drafts.entries().catch(none)) {
    const draft = keptAs<{ document: unknown } & Owned>(draftShape, value)
    const document = draft && keptAs<{ title: string; format?: string }>(titled, draft.document)
    if (!document || !isOwners(draft)) continue
    const id = key.split('/')[0]!
    const isTerm = document.format === 'esfuerzo.term'
    found.push({
      kind: isTerm ? 'term' : 'session',
      title: document.title,
      count: 1,
      to: { name: isTerm ? 'term' : 'compose', params: { id } },
      kept: [draft.document],
    })
  }
  const books = new Map<string, UnsentWork>()
  for (const [key, value] of await cells.entries().catch(none)) {
    const cell = keptAs<{ book?: string } & Owned>(keptCellShape, value)
    if (!cell || !isOwners(cell)) continue
    const [classId = '', session = ''] = key.split('/')
    const to: RouteLocationRaw = { name: 'class', params: { classId }, query: { session } }
    const book = books.get(`${classId}/${session}`) ?? {
      kind: 'results',
      title: cell.book ?? '',
      count: 0,
      to,
      kept: [],
    }
    books.set(`${classId}/${session}`, { ...book, count: book.count + 1, kept: [...book.kept, cell] })
  }
  return [...found, ...books.values()]
}

/** Deletes everything of hers on the device, and what others left weeks ago. */
export async function clearWork(): Promise<void> {
  for (const store of [drafts, cells])
    for (const [key, value] of await store.entries().catch(none)) {
      const { owner, at } = (value ?? {}) as Owned
      const isOld = Date.now() - (at ?? Infinity) > forgotten
      if (isOwners({ owner }) || isOld) await store.remove(key).catch(() => undefined)
    }
  try {
    sessionStorage.clear()
  } catch {
    // If nothing can be kept, nothing is left.
  }
}
