import type { Knex } from 'knex'
import type { PublicationInfo } from '@esfuerzo/contract'
import type { Outline } from '@esfuerzo/core/publication'
import type { PublishedFacts } from '../snapshots/facts.ts'
import { addFacts } from '../snapshots/store.ts'
import { owned } from '../rights/rights.ts'

interface Row {
  id: string
  teacher_id: string
  workout_id: string
  sha256: string
  token_hash: string
  title: string
  created_at: Date
  ends_at: Date
  ended_at: Date | null
  misused: boolean
  class_id: string | null
  runs: string
}

export type StoredPublication = Omit<PublicationInfo, 'token'>

const stored = (row: Row): StoredPublication => ({
  id: row.id,
  sha256: row.sha256,
  createdAt: row.created_at.toISOString(),
  endsAt: row.ends_at.toISOString(),
  endedAt: row.ended_at?.toISOString() ?? null,
  classId: row.class_id,
  runs: Number(row.runs),
})

const own = (db: Knex, teacherId: string) =>
  owned<Row>(db, teacherId, 'publications')
    .select('*')
    .select(db.raw('(select count(*) from runs r where r.publication_id = publications.id) as runs'))

export interface NewPublication {
  id: string
  teacherId: string
  sessionId: string
  sha256: string
  body: string
  outline: Outline
  facts: PublishedFacts
  tokenHash: string
  title: string
  createdAt: Date
  endsAt: Date
  classId?: string | undefined
}

/** Stores a publication in a transaction; an existing snapshot is not stored again. */
export async function addPublication(trx: Knex.Transaction, p: NewPublication): Promise<void> {
  await trx('snapshots')
    .insert({ sha256: p.sha256, body: p.body, outline: JSON.stringify(p.outline) })
    .onConflict('sha256')
    .ignore()
  await trx('publications').insert({
    id: p.id,
    teacher_id: p.teacherId,
    workout_id: p.sessionId,
    sha256: p.sha256,
    token_hash: p.tokenHash,
    title: p.title,
    created_at: p.createdAt,
    ends_at: p.endsAt,
    class_id: p.classId ?? null,
  })
  await addFacts(trx, p.id, p.facts)
}

/** Limits of links for a teacher, and of bytes behind them (ours): years of sending home every day. */
export const publicationRoom = { links: 3000, bytes: 256 * 2 ** 20 } as const

/** Whether there is room for another link. */
export async function hasRoom(db: Knex, teacherId: string): Promise<boolean> {
  const { rows } = await db.raw<{ rows: { links: string; bytes: string }[] }>(
    `with hers as (select sha256 from publications where teacher_id = :teacherId)
     select (select count(*) from hers) as links,
            (select coalesce(sum(octet_length(body)), 0) from snapshots where sha256 in (select sha256 from hers)) as bytes`,
    { teacherId },
  )
  return Number(rows[0]!.links) < publicationRoom.links && Number(rows[0]!.bytes) < publicationRoom.bytes
}

export async function findPublication(db: Knex, teacherId: string, id: string): Promise<StoredPublication | undefined> {
  const row = await own(db, teacherId).where({ id }).first()
  return row && stored(row as Row)
}

/** The links of one session, the latest first. */
export async function listPublications(db: Knex, teacherId: string, sessionId: string): Promise<StoredPublication[]> {
  const rows = await own(db, teacherId).where({ workout_id: sessionId }).orderBy('created_at', 'desc')
  return (rows as Row[]).map(stored)
}

/**
 * Ends a link; an ended one stays unchanged, but can still be marked as misused.
 *
 * @param misused accept nothing more through it
 * @returns the session it leads to; undefined if it is not hers
 */
export async function endPublication(
  db: Knex,
  teacherId: string,
  id: string,
  misused: boolean,
): Promise<string | undefined> {
  const [ended] = await owned<Row>(db, teacherId, 'publications')
    .where({ id })
    .update({ ended_at: db.raw('coalesce(ended_at, now())') as unknown as Date, ...(misused && { misused }) })
    .returning<{ workout_id: string }[]>('workout_id')
  return ended?.workout_id
}

export interface LinkTarget {
  id: string
  teacherId: string
  /** The class it is for; null for everyone. */
  classId: string | null
  sha256: string
  title: string
  endsAt: Date
  endedAt: Date | null
  /** Ended because it reached strangers. */
  misused: boolean
  /** Of the class it is for: its grades, the end of its year, and how many months longer it keeps results. */
  grades: number[] | null
  yearEnds: string | null
  keepMonths: number | null
  /** Whether there are pupils it may be for: of its class, or of any. */
  codes: boolean
}

const pupilsOfLink = `exists (
  select from pupils u where u.teacher_id = p.teacher_id and u.removed_at is null and (c.id is null or u.class_id = c.id)) as codes`

/** The target of a token: one indexed query. */
export async function findByToken(db: Knex, tokenHash: string): Promise<LinkTarget | undefined> {
  type OfClass = {
    class: string | null
    grades: number[] | null
    ends: string | null
    keep_months: number | null
    codes: boolean
  }
  const row: (Row & OfClass) | undefined = await db('publications as p')
    .leftJoin('classes as c', (join) => join.on('c.id', 'p.class_id').onNull('c.removed_at'))
    .where({ token_hash: tokenHash })
    .first(
      'p.*',
      'c.id as class',
      'c.grades',
      'c.keep_months',
      db.raw('c.year_ends::text as ends'),
      db.raw(pupilsOfLink),
    )
  if (!row) return undefined
  const { id, sha256, title, misused, grades } = row
  return {
    id,
    teacherId: row.teacher_id,
    classId: row.class,
    sha256,
    title,
    endsAt: row.ends_at,
    endedAt: row.ended_at,
    misused,
    grades,
    yearEnds: row.ends,
    keepMonths: row.keep_months,
    codes: row.codes,
  }
}

/** Where a link's runs belong and what they may contain; an earlier release may have left its outline null or incomplete. */
export const findForRun = (
  db: Knex,
  tokenHash: string,
): Promise<{ id: string; teacherId: string; sha256: string; outline: Outline | null } | undefined> =>
  db('publications as p')
    .join('snapshots as s', 's.sha256', 'p.sha256')
    .where({ token_hash: tokenHash })
    .first('p.id', 'p.teacher_id as teacherId', 'p.sha256', 's.outline')
