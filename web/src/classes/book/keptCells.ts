import * as z from 'zod/mini'
import { deviceStore } from '../../shared/device/deviceStore.ts'
import { isOwners, mayKeep, ownerNow } from '../../shared/device/owner.ts'
import { keptAs } from '../../shared/keptAs.ts'
import type { TypedCell } from './typedCell.ts'

/** A typed value on the device, with the name of the book it belongs to. */
export const keptCellShape = z.looseObject({
  id: z.string(),
  pupil: z.string(),
  column: z.string(),
  text: z.string(),
  state: z.string(),
  book: z.optional(z.string()),
  owner: z.optional(z.string()),
})

const store = deviceStore('classBook')

/** What is on screen and not with the server yet, by the cell's key. */
export type KeptCells = [key: string, cell: TypedCell][]

/** What this device keeps of one class book: a key for each cell, so that two tabs lose nothing of each other. */
export interface CellKeeper {
  /** Keeps a cell, or takes it away once it is stored or given up. A device that keeps nothing still saves. */
  keep: (key: string, cell: TypedCell | undefined) => Promise<void>
  /** What was kept, of this tab or of others: each has an id, so that what is sent twice is stored once. */
  all: () => Promise<KeptCells>
}

/** @param book the class's id and the link's, with a stroke between @param named what it is called, for somebody who signs out */
export function cellKeeper(book: string, named: () => string): CellKeeper {
  const prefix = `${book}/`
  return {
    async keep(key, cell) {
      try {
        if (cell && !mayKeep()) return
        if (cell) {
          // Structured cloning takes no reactive proxies.
          const plain = JSON.parse(JSON.stringify(cell)) as TypedCell
          await store.set(prefix + key, { ...plain, book: named(), owner: ownerNow(), at: Date.now() })
        } else await store.remove(prefix + key)
      } catch {
        // Private windows may refuse storage; the page is then the only copy until it is saved.
      }
    },
    async all() {
      try {
        return (await store.entries(prefix)).flatMap(([key, value]): KeptCells => {
          const kept = keptAs<TypedCell & { owner?: string }>(keptCellShape, value)
          return kept && isOwners(kept) ? [[key.slice(prefix.length), kept]] : []
        })
      } catch {
        return []
      }
    },
  }
}
