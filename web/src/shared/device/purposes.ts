/** The purpose of one database on a device. Nothing else opens a database: two pages that open one with different stores lose one of them. */
export interface DevicePurpose {
  /** Name of the database; never changes. */
  name: string
  /** Of its one store. */
  store: string
  version: number
  /** Migrates an older database to this version. @param from 0 for a new one */
  upgrade: (db: IDBDatabase, from: number) => void
}

const purpose = (name: string, store: string): DevicePurpose => ({
  name,
  store,
  version: 1,
  upgrade: (db, from) => from < 1 && void db.createObjectStore(store),
})

/** Every database that our pages keep on a device. */
export const purposes = {
  /** Sessions and terms whose state on screen the server does not have. */
  drafts: purpose('esfuerzo-drafts', 'drafts'),
  /** Values typed into a class book that the server does not have yet, one key each. */
  classBook: purpose('esfuerzo-class-book', 'cells'),
  /** What a child did; stored only on this device. */
  childBook: purpose('esfuerzo-child-book', 'books'),
  sessions: purpose('esfuerzo-sessions', 'sessions'),
  lastTimes: purpose('esfuerzo-last', 'times'),
  runs: purpose('esfuerzo-runs', 'queue'),
  pupils: purpose('esfuerzo-pupils', 'pupils'),
} satisfies Record<string, DevicePurpose>

export type Purpose = keyof typeof purposes
