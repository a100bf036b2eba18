import { openDB, type IDBPDatabase } from 'idb'
import { adoptClashingBooks } from './adoptClashingBooks.ts'
import { purposes, type Purpose } from './purposes.ts'

/** What a device keeps for one purpose, by key. Every call may fail: a private window and a full disk keep nothing. */
export interface DeviceStore {
  get: (key: string) => Promise<unknown>
  set: (key: string, value: unknown) => Promise<void>
  remove: (key: string) => Promise<void>
  /** All of it; those whose key begins so, where that is said. */
  entries: (prefix?: string) => Promise<[key: string, value: unknown][]>
  /** Changes one value; nobody else's change comes in between. */
  update: (key: string, change: (there: unknown) => unknown) => Promise<void>
  clear: () => Promise<void>
}

/** Once a page: what a release before kept for two purposes in one place. */
let adopting: Promise<void> | undefined

const opened = new Map<Purpose, Promise<IDBPDatabase>>()

/** One connection for each purpose, so that what is written comes one after the other. */
function connection(of: Purpose): Promise<IDBPDatabase> {
  const known = opened.get(of)
  if (known) return known
  const { name, version, upgrade } = purposes[of]
  const forget = () => void opened.delete(of)
  const opening = (async () => {
    if (of === 'classBook' || of === 'childBook') await (adopting ??= adoptClashingBooks().catch(() => undefined))
    return openDB(name, version, {
      upgrade,
      // A page of a later release wants to bring it up to date: this one opens it again when it needs it.
      blocking: (_, __, event) => {
        forget()
        ;(event.target as IDBDatabase).close()
      },
      terminated: forget,
    })
  })()
  opened.set(of, opening)
  opening.catch(forget)
  return opening
}

/** @returns where this device keeps what is for a purpose */
export function deviceStore(of: Purpose): DeviceStore {
  const { store } = purposes[of]
  const range = (prefix: string) => IDBKeyRange.bound(prefix, `${prefix}\uffff`)
  return {
    get: async (key) => (await connection(of)).get(store, key) as Promise<unknown>,
    set: async (key, value) => void (await (await connection(of)).put(store, value, key)),
    remove: async (key) => (await connection(of)).delete(store, key),
    async entries(prefix) {
      const tx = (await connection(of)).transaction(store)
      const query = prefix ? range(prefix) : null
      const [keys, values] = await Promise.all([tx.store.getAllKeys(query), tx.store.getAll(query)])
      await tx.done
      return keys.map((key, i) => [String(key), values[i] as unknown])
    },
    async update(key, change) {
      const tx = (await connection(of)).transaction(store, 'readwrite')
      await tx.store.put(change(await tx.store.get(key)), key)
      await tx.done
    },
    clear: async () => (await connection(of)).clear(store),
  }
}

/** Closes every connection; the next use opens it again. */
export async function closeDevice(): Promise<void> {
  adopting = undefined
  for (const [of, opening] of [...opened]) {
    opened.delete(of)
    ;(await opening.catch(() => undefined))?.close()
  }
}
