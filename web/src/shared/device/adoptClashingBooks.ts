import { deleteDB, openDB, type IDBPDatabase } from 'idb'
import * as z from 'zod/mini'
import { purposes } from './purposes.ts'

/** The database that the class book and the child's book both opened, each with a store of its own: whichever came second had none. */
const clashing = 'esfuerzo-book'
const cellsShape = z.array(z.tuple([z.string(), z.looseObject({})]))

/** Opens it only where it is there: opening makes a database otherwise. */
async function openThere(): Promise<IDBPDatabase | undefined> {
  try {
    return await openDB(clashing, undefined, {
      upgrade: (_db, _from, _to, transaction) => {
        transaction.done.catch(() => undefined)
        transaction.abort()
      },
    })
  } catch {
    return undefined
  }
}

/** Puts values where they belong, where nothing newer is there. */
async function add(db: IDBPDatabase, store: string, entries: readonly [string, unknown][]): Promise<void> {
  const tx = db.transaction(store, 'readwrite')
  for (const [key, value] of entries) if ((await tx.store.get(key)) === undefined) await tx.store.put(value, key)
  await tx.done
}

async function entriesOf(db: IDBPDatabase, store: string): Promise<[string, unknown][]> {
  if (!db.objectStoreNames.contains(store)) return []
  const [keys, values] = await Promise.all([db.getAllKeys(store), db.getAll(store)])
  return keys.map((key, i) => [String(key), values[i] as unknown])
}

/**
 * Takes over what a release before kept in the one database that two pages opened: typed values of class books, children's books.
 * It is deleted once both have theirs.
 */
export async function adoptClashingBooks(): Promise<void> {
  const old = await openThere()
  if (!old) return
  try {
    const cells = (await entriesOf(old, 'cells')).flatMap(([book, kept]): [string, unknown][] => {
      const read = cellsShape.safeParse(kept)
      return read.success ? read.data.map(([key, cell]) => [`${book}/${key}`, cell]) : []
    })
    const books = await entriesOf(old, 'book')
    for (const [of, entries] of [
      ['classBook', cells],
      ['childBook', books],
    ] as const) {
      if (!entries.length) continue
      const { name, store, version, upgrade } = purposes[of]
      const db = await openDB(name, version, { upgrade })
      await add(db, store, entries)
      db.close()
    }
  } finally {
    old.close()
  }
  await deleteDB(clashing)
}
