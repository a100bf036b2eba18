import * as z from 'zod/mini'
import { deviceStore } from '../../shared/device/deviceStore.ts'
import { isOwners, mayKeep, ownerNow } from '../../shared/device/owner.ts'
import { keptAs } from '../../shared/keptAs.ts'
import type { TypedCell } from './typedCell.ts'

/** A typed value on the device, with the name of its book. */
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

/** Values on screen that the server doesn't have yet, by the cell's key. */
export type KeptCells = [key: string, cell: TypedCell][]

/** What this device keeps of one class book: one key for each cell, so that two tabs lose nothing of each other. */
export interface CellKeeper {
  /** Keeps a cell, or deletes it once it is stored or discarded. Without storage the page still saves. */
  keep: (key: string, cell: TypedCell | undefined) => Promise<void>
  /** Kept values of this tab and others: each has an id, so that a value sent twice is stored once. */
  all: () => Promise<KeptCells>
}

/** @param book the class's id and the link's, with a slash between @param named its name, for the sign-out dialog */
export function cellKeeper(book: string, named: () => string): CellKeeper {
  const prefix = `${book}/`
  return {
    async keep(key, cell) {
      try {
        if (cell && !mayKeep()) return
        if (cell) {
          // Structured cloning does not accept reactive proxies.
          const plain = JSON.parse(JSON.stringify(cell)) as TypedCell
          await store.set(prefix + key, { ...plain, book: named(), owner: ownerNow(), at: Date.now() })
        } else await store.remove(prefix + key)
      } catch {
        // Private windows may refuse storage; then the page is the only copy until it is saved.
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
