import type { IDBPDatabase } from 'idb'

/** What one database of a device is for. Nothing else opens a database: two pages that open one with different stores lose one of them. */
interface DevicePurpose {
  /** Of the database; kept for ever. */
  name: string
  /** Of its one store. */
  store: string
  version: number
  /** Brings an older database up to this version. */
  upgrade: (db: IDBPDatabase, from: number) => void
  /** Whose it is: a teacher's goes when she signs out on a shared device. */
  of: 'teacher' | 'family'
}

const first = (store: string) => (db: IDBPDatabase) => {
  if (!db.objectStoreNames.contains(store)) db.createObjectStore(store)
}
const purpose = (name: string, store: string, of: DevicePurpose['of']): DevicePurpose => ({
  name,
  store,
  of,
  version: 1,
  upgrade: first(store),
})

/** Every database that our pages keep on a device. */
export const purposes = {
  /** Sessions and terms that the server does not have as they are on screen. */
  drafts: purpose('esfuerzo-drafts', 'drafts', 'teacher'),
  /** Values typed into a class book that the server does not have yet, a key each. */
  classBook: purpose('esfuerzo-class-book', 'cells', 'teacher'),
  /** What a child did, on this device and nowhere else. */
  childBook: purpose('esfuerzo-child-book', 'books', 'family'),
  sessions: purpose('esfuerzo-sessions', 'sessions', 'family'),
  lastTimes: purpose('esfuerzo-last', 'times', 'family'),
  runs: purpose('esfuerzo-runs', 'queue', 'family'),
  pupils: purpose('esfuerzo-pupils', 'pupils', 'family'),
} satisfies Record<string, DevicePurpose>

export type Purpose = keyof typeof purposes
