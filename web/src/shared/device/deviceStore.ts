import { clear, del, entries, get, set, update, type UseStore } from 'idb-keyval'
import { openDevice } from './openDevice.ts'
import { purposes, type Purpose } from './purposes.ts'

/** What a device stores for one purpose, by key. Every call may fail: private windows and full disks store nothing. */
export interface DeviceStore {
  get: (key: string) => Promise<unknown>
  set: (key: string, value: unknown) => Promise<void>
  remove: (key: string) => Promise<void>
  /** All values, or those whose key has a prefix. */
  entries: (prefix?: string) => Promise<[key: string, value: unknown][]>
  /** Changes one value; no other change comes in between. */
  update: (key: string, change: (there: unknown) => unknown) => Promise<void>
  clear: () => Promise<void>
}

/** Once per page: data that an earlier release kept for two purposes in one place. */
let adopting: Promise<void> | undefined

async function adopt(): Promise<void> {
  // A browser that cannot list its databases has to try.
  const names = await indexedDB.databases?.()
  if (names?.every(({ name }) => name !== 'esfuerzo-book')) return
  // Rarely needed, so a phone doesn't download it in advance.
  const { adoptClashingBooks } = await import('./adoptClashingBooks.ts')
  await adoptClashingBooks()
}

const opened = new Map<Purpose, Promise<IDBDatabase>>()

/** One connection for each purpose, so that writes happen in order. */
function connection(purpose: Purpose): Promise<IDBDatabase> {
  const known = opened.get(purpose)
  if (known) return known
  const forget = () => void opened.delete(purpose)
  const opening = (async () => {
    if (purpose === 'classBook' || purpose === 'childBook') await (adopting ??= adopt().catch(() => undefined))
    return openDevice(purposes[purpose], forget)
  })()
  opened.set(purpose, opening)
  opening.catch(forget)
  return opening
}

/** @returns the device's store for a purpose */
export function deviceStore(purpose: Purpose): DeviceStore {
  const { store } = purposes[purpose]
  const use: UseStore = async (mode, work) =>
    work((await connection(purpose)).transaction(store, mode).objectStore(store))
  return {
    get: (key) => get<unknown>(key, use),
    set: (key, value) => set(key, value, use),
    remove: (key) => del(key, use),
    entries: async (prefix = '') => (await entries<string, unknown>(use)).filter(([key]) => key.startsWith(prefix)),
    update: (key, change) => update<unknown>(key, change, use),
    clear: () => clear(use),
  }
}

/** Closes every connection; the next use opens it again. */
export async function closeDevice(): Promise<void> {
  adopting = undefined
  for (const [purpose, opening] of [...opened]) {
    opened.delete(purpose)
    ;(await opening.catch(() => undefined))?.close()
  }
}
