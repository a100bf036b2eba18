import { promisifyRequest } from 'idb-keyval'
import * as z from 'zod/mini'
import { openDevice } from './openDevice.ts'
import { purposes, type DevicePurpose } from './purposes.ts'

/** The database that class book and child's book both opened, each with its own store: the second one had none. */
const clashing = 'esfuerzo-book'
const cellsShape = z.array(z.tuple([z.string(), z.looseObject({})]))

/** Opens the database only if it exists: opening would create it. */
async function openThere(): Promise<IDBDatabase | undefined> {
  const request = indexedDB.open(clashing)
  request.onupgradeneeded = () => request.transaction!.abort()
  return promisifyRequest(request).catch(() => undefined)
}

async function entriesOf(db: IDBDatabase, store: string): Promise<[string, unknown][]> {
  if (!db.objectStoreNames.contains(store)) return []
  const there = db.transaction(store).objectStore(store)
  const [keys, values] = await Promise.all([promisifyRequest(there.getAllKeys()), promisifyRequest(there.getAll())])
  return keys.map((key, i) => [String(key), values[i] as unknown])
}

/** Moves values to their place; a newer value there stays. */
async function add(purpose: DevicePurpose, entries: readonly [string, unknown][]): Promise<void> {
  const db = await openDevice(purpose)
  const there = db.transaction(purpose.store, 'readwrite').objectStore(purpose.store)
  const known = new Set((await promisifyRequest(there.getAllKeys())).map(String))
  for (const [key, value] of entries) if (!known.has(key)) there.put(value, key)
  await promisifyRequest(there.transaction)
  db.close()
}

/**
 * Takes over data of a previous release from the one database that two pages opened: typed values of class books, children's books. It is
 * deleted once both have theirs.
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
    if (cells.length) await add(purposes.classBook, cells)
    if (books.length) await add(purposes.childBook, books)
  } finally {
    old.close()
  }
  await promisifyRequest(indexedDB.deleteDatabase(clashing))
}
