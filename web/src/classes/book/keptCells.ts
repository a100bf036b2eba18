import { createStore, get, set, del } from 'idb-keyval'
import * as z from 'zod/mini'
import { keptAs } from '../../shared/keptAs.ts'
import type { TypedCell } from './useBook.ts'

const shape = z.array(
  z.tuple([
    z.string(),
    z.looseObject({ id: z.string(), pupil: z.string(), column: z.string(), text: z.string(), state: z.string() }),
  ]),
)
const database = () => createStore('esfuerzo-book', 'cells')

/** What is on screen and not with the server yet, by the cell's key. */
export type KeptCells = [key: string, cell: TypedCell][]

/** Keeps it on the device; nothing takes that copy away. A device that keeps nothing still saves. */
export async function keepCells(book: string, cells: KeptCells): Promise<void> {
  try {
    if (cells.length) await set(book, structuredClone(cells), database())
    else await del(book, database())
  } catch {
    // Private windows may refuse storage; the page is then the only copy until it is saved.
  }
}

/** What was kept, of this tab or of one that is gone: each has an id, so that what is sent twice is stored once. */
export async function keptCells(book: string): Promise<KeptCells> {
  try {
    return keptAs<KeptCells>(shape, await get<unknown>(book, database())) ?? []
  } catch {
    return []
  }
}
