import type { Knex } from 'knex'
import { readDocument, writtenText } from '@esfuerzo/core'
import { keptRevisions, type KeptRevisions } from './keptRevisions.ts'
import type { RevisionedKind, RevisionedRow } from './revisionedKind.ts'
import { owned } from '../rights/rights.ts'

export interface Saved {
  id: string
  revision: number
  updatedAt: string
}

/** What is stored about a row as it is saved. */
export const saved = (row: Pick<RevisionedRow, 'id' | 'revision' | 'updated_at'>): Saved => ({
  id: row.id,
  revision: row.revision,
  updatedAt: row.updated_at.toISOString(),
})

/** How a kind of document is stored. Every query names the teacher: no id reaches another teacher's document. */
export interface Revisioned<D> {
  /** A teacher's documents that are not in the trash, for the kind's own queries. */
  own: (db: Knex, teacherId: string) => Knex.QueryBuilder<RevisionedRow>
  /** Those in the bin. */
  binned: (db: Knex, teacherId: string) => Knex.QueryBuilder<RevisionedRow>
  /** How many a teacher has, including those in the trash. */
  count: (db: Knex, teacherId: string) => Promise<number>
  /** Stores a new document with its first revision. @param at when, for documents of the past */
  add: (db: Knex, teacherId: string, id: string, document: D, at?: Date) => Promise<Saved>
  /** Undefined if it is not hers, deleted or in the trash. */
  find: (db: Knex, teacherId: string, id: string) => Promise<(Saved & { document: D }) | undefined>
  /**
   * Saves if the revision is still the one the change started from, and writes the history, in one statement.
   *
   * @returns `conflict` if another revision was saved since, undefined if it is not hers or does not exist
   */
  save: (
    db: Knex,
    teacherId: string,
    id: string,
    revision: number,
    document: D,
  ) => Promise<Saved | 'conflict' | undefined>
  /** Whether it is still at a revision; the row is locked until the transaction ends. */
  isAtRevision: (trx: Knex.Transaction, teacherId: string, id: string, revision: number) => Promise<boolean>
  /** Moves it to the trash; false if it is not hers or doesn't exist. */
  remove: (db: Knex, teacherId: string, id: string) => Promise<boolean>
  /** Restores it from the trash. */
  restore: (db: Knex, teacherId: string, id: string) => Promise<boolean>
  revisions: KeptRevisions<D>
}

/** @returns the store for documents of a kind */
export function revisioned<D>(kind: RevisionedKind<D>): Revisioned<D> {
  const revisions = keptRevisions(kind)
  const all = (db: Knex, teacherId: string) => owned<RevisionedRow>(db, teacherId, kind.table)
  const own = (db: Knex, teacherId: string) => all(db, teacherId).where({ removed_at: null })
  const binned = (db: Knex, teacherId: string) => all(db, teacherId).whereNotNull('removed_at')
  const written = (document: D) => ({
    ...kind.columns(document),
    document: writtenText(kind.document, document),
  })
  const shown = ['id', 'revision', 'updated_at'] as const

  return {
    own,
    binned,
    revisions,
    count: async (db, teacherId) => {
      const [count] = await owned(db, teacherId, kind.table).count({ n: '*' })
      return Number(count!.n)
    },
    add: async (db, teacherId, id, document, at) => {
      const row = await revisions.recorded(
        db,
        teacherId,
        db(kind.table)
          .insert({ id, teacher_id: teacherId, ...written(document), ...(at && { updated_at: at }) })
          .returning([...shown]),
        id,
        document,
      )
      return saved(row!)
    },
    find: async (db, teacherId, id) => {
      const row = await own(db, teacherId).where({ id }).first()
      return row && { ...saved(row), document: readDocument(kind.document, row.document) }
    },
    save: async (db, teacherId, id, revision, document) => {
      const row = await revisions.recorded(
        db,
        teacherId,
        own(db, teacherId)
          .where({ id, revision })
          .update({ ...written(document), revision: revision + 1, updated_at: db.fn.now() as unknown as Date })
          .returning([...shown]),
        id,
        document,
      )
      if (row) return saved(row)
      return (await own(db, teacherId).where({ id }).first('id')) ? 'conflict' : undefined
    },
    isAtRevision: async (trx, teacherId, id, revision) =>
      (await own(trx, teacherId).where({ id, revision }).forUpdate().first('id')) !== undefined,
    remove: async (db, teacherId, id) =>
      (await own(db, teacherId)
        .where({ id })
        .update({ removed_at: db.fn.now() as unknown as Date })) > 0,
    restore: async (db, teacherId, id) => (await binned(db, teacherId).where({ id }).update({ removed_at: null })) > 0,
  }
}
