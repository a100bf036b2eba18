import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { readDocument, writtenText } from '@esfuerzo/core'
import type { KeptRevision } from '@esfuerzo/contract'
import type { RevisionedKind, RevisionedRow } from './revisionedKind.ts'
import { owned } from '../rights/rights.ts'

interface Row {
  id: string
  document: unknown
  name: string | null
  reason: KeptRevision['reason']
  started_at: Date
  saved_at: Date
  closed: boolean
}

/** Saves within this long of a revision's first are one revision, in seconds (ours). */
const oneRevision = 10 * 60
/** Unnamed revisions beyond this many of one document are let go, the oldest first (ours). */
const mostUnnamed = 200

/** Limit of named revisions of a document: nobody names more (ours). */
export const namedRoom = 60

/** What is recorded about a document as it is saved. */
type SavedRow = Pick<RevisionedRow, 'id' | 'revision' | 'updated_at'>

/** The revisions a document was in, the history that its saves leave behind. */
export interface KeptRevisions<D> {
  /**
   * Saves and writes the history, into the open revision or as a new one, in one statement: neither is ever stored without the other, and a
   * save takes one database round trip.
   *
   * @param save the insert or update, which returns `id`, `revision` and `updated_at`
   * @returns what the save returned; undefined if it changed nothing
   */
  recorded: (
    db: Knex,
    teacherId: string,
    save: Knex.QueryBuilder,
    id: string,
    document: D,
  ) => Promise<SavedRow | undefined>
  /** The latest first; none if the document is not hers or doesn't exist. */
  list: (db: Knex, teacherId: string, id: string) => Promise<KeptRevision[]>
  find: (
    db: Knex,
    teacherId: string,
    id: string,
    revision: string,
  ) => Promise<(KeptRevision & { document: D }) | undefined>
  /** Closes the latest, so that the next save starts another; false if the document is not hers or doesn't exist. */
  close: (
    db: Knex,
    teacherId: string,
    id: string,
    because: { reason: KeptRevision['reason']; name?: string },
  ) => Promise<boolean>
  /** The document as it was last sent; undefined if it never was, or is not hers. */
  lastPublished: (db: Knex, teacherId: string, id: string) => Promise<D | undefined>
  /** Whether there is room for another named revision. */
  hasRoomForName: (db: Knex, teacherId: string, id: string) => Promise<boolean>
  /** @param name the empty string removes it */
  name: (db: Knex, teacherId: string, id: string, revision: string, name: string) => Promise<KeptRevision | undefined>
}

const revisionOf = (row: Row & { title?: string }): KeptRevision => ({
  id: row.id,
  title: row.title ?? (row.document as { title: string }).title,
  name: row.name,
  reason: row.reason,
  startedAt: row.started_at.toISOString(),
  savedAt: row.saved_at.toISOString(),
})

/** @returns the history of documents of a kind */
// oxlint-disable-next-line max-lines-per-function -- one table, and all that is asked of it
export function keptRevisions<D>(kind: RevisionedKind<D>): KeptRevisions<D> {
  const { table, of: owner } = kind.revisions
  const all = (db: Knex, teacherId: string, id: string) => owned<Row>(db, teacherId, table).where({ [owner]: id })
  /** The revisions of a document that is the teacher's and not in the bin. */
  const own = (db: Knex, teacherId: string, id: string) =>
    all(db, teacherId, id).whereExists(
      db(kind.table)
        .where({ removed_at: null })
        .whereRaw('?? = ??', [`${kind.table}.id`, `${table}.${owner}`]),
    )

  return {
    recorded: async (db, teacherId, save, id, document) => {
      const body = writtenText(kind.document, document)
      const unnamed = all(db, teacherId, id).where({ name: null }).orderBy('place', 'desc')
      const rows: SavedRow[] = await db
        .with('saved', save)
        .with('last', all(db, teacherId, id).orderBy('place', 'desc').limit(1).select('id', 'started_at'))
        // If the clock was set back, ten minutes have not passed. A revision that another request closes meanwhile is not overwritten.
        .with(
          'went_on',
          db.raw(
            `update ?? as v set document = ?, saved_at = saved.updated_at from saved, last
             where v.id = last.id and not v.closed
             and abs(extract(epoch from saved.updated_at - last.started_at)) < ${oneRevision} returning v.id`,
            [table, body],
          ),
        )
        .with(
          'begun',
          db.raw(
            `insert into ?? (id, ??, document, started_at, saved_at)
             select ?::uuid, saved.id, ?::jsonb, saved.updated_at, saved.updated_at from saved
             where not exists (select 1 from went_on) returning id`,
            [table, owner, randomUUID(), body],
          ),
        )
        // The statement doesn't see the row it just started: there is one more.
        .with(
          'let_go',
          owned(db, teacherId, table)
            .whereExists(db.select(db.raw('1')).from('begun'))
            .whereIn('id', unnamed.offset(mostUnnamed - 1).select('id'))
            .delete(),
        )
        .select('id', 'revision', 'updated_at')
        .from('saved')
      return rows[0]
    },
    list: async (db, teacherId, id) => {
      const rows: (Row & { title: string })[] = await own(db, teacherId, id)
        .select<[]>('id', 'name', 'reason', 'started_at', 'saved_at')
        .select(db.raw("document->>'title' as title"))
        .orderBy('place', 'desc')
      return rows.map(revisionOf)
    },
    find: async (db, teacherId, id, revision) => {
      const row = await own(db, teacherId, id).where({ id: revision }).first()
      return row && { ...revisionOf(row), document: readDocument(kind.document, row.document) }
    },
    close: async (db, teacherId, id, because) => {
      const last = await own(db, teacherId, id).orderBy('place', 'desc').first('id', 'reason')
      if (!last) return false
      // Sent and named revisions stay.
      const reason = because.reason === 'edit' ? last.reason : because.reason
      await own(db, teacherId, id)
        .where({ id: last.id })
        .update({ closed: true, reason, ...(because.name && { name: because.name }) })
      return true
    },
    lastPublished: async (db, teacherId, id) => {
      const row = await own(db, teacherId, id).where({ reason: 'published' }).orderBy('place', 'desc').first('document')
      return row && readDocument(kind.document, row.document)
    },
    hasRoomForName: async (db, teacherId, id) => {
      const [count] = await own(db, teacherId, id).whereNotNull('name').count({ n: '*' })
      return Number(count!.n) < namedRoom
    },
    name: async (db, teacherId, id, revision, name) => {
      const [row] = await own(db, teacherId, id)
        .where({ id: revision })
        .update({ name: name || null, closed: true })
        .returning('*')
      return row && revisionOf(row)
    },
  }
}
