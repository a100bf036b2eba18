import type { Knex } from 'knex'
import { DateTime } from 'luxon'
import { termDocument, type Term } from '@esfuerzo/core/term'
import type { Done, TermSummary } from '@esfuerzo/contract'
import { revisioned, saved } from '../documents/revisioned.ts'
import type { RevisionedRow } from '../documents/revisionedKind.ts'
import { owned, ownedBy } from '../rights/rights.ts'

/** Terms, saved by revision, with their history and the trash. */
export const terms = revisioned<Term>({
  table: 'terms',
  revisions: { table: 'term_versions', of: 'term_id' },
  document: termDocument,
  columns: ({ title, starts, weeks }) => ({ title, starts, weeks }),
})

/** Limit of terms for a teacher, including the trash: three a year for three classes over ten years (ours). */
export const termRoom = 90

/** A teacher's terms, the latest first, and those in the trash. */
export async function listTerms(
  db: Knex,
  teacherId: string,
): Promise<{ terms: TermSummary[]; removed: { id: string; title: string; removedAt: string }[] }> {
  const rows: (RevisionedRow & { starts: string; weeks: number })[] = await owned(db, teacherId, 'terms')
    .select('id', 'title', 'revision', 'updated_at', 'removed_at', 'weeks', db.raw('starts::text as starts'))
    .orderBy([{ column: 'starts', order: 'desc' }, { column: 'title' }])
  return {
    terms: rows
      .filter((row) => !row.removed_at)
      .map((row) => ({ ...saved(row), title: row.title, starts: row.starts, weeks: row.weeks })),
    removed: rows
      .flatMap(({ id, title, removed_at }) => (removed_at ? [{ id, title, removedAt: removed_at.toISOString() }] : []))
      .sort((a, b) => (a.removedAt < b.removedAt ? 1 : -1)),
  }
}

/** For how many days from its own on a place's results count for it: until the session comes again, at most two weeks. Ours. */
const doneWithin = 14

/**
 * Homes that sent results for each place; for a class's term, those of its children and its links. A child counts once; a run without a
 * pupil counts as one home.
 *
 * @param zone of the school, which decides the date
 */
export async function doneOf(
  db: Knex,
  teacherId: string,
  { places, class: classId }: Term,
  zone: string,
): Promise<Done[]> {
  const ids = [...new Set(places.flatMap((p) => [p.session, p.made].filter((id) => id !== undefined)))]
  const dates = places.map((p) => p.date).sort()
  if (!ids.length) return []
  const rows: { workout_id: string; finished_at: Date; home: string }[] = await db('runs as r')
    .join('publications as p', 'p.id', 'r.publication_id')
    .leftJoin('pupils as c', 'c.id', 'r.pupil_id')
    .modify(ownedBy(teacherId, 'publications', 'p'))
    .whereIn('p.workout_id', ids)
    .modify((query) => {
      if (classId) void query.whereRaw('coalesce(c.class_id, p.class_id) = ?', [classId])
    })
    .where('r.finished_at', '>=', DateTime.fromISO(dates[0]!, { zone }).toJSDate())
    .where('r.finished_at', '<', DateTime.fromISO(dates.at(-1)!, { zone }).plus({ days: doneWithin }).toJSDate())
    .select('p.workout_id', 'r.finished_at', db.raw('coalesce(r.pupil_id, r.id) as home'))
  const dayOf = ({ finished_at }: { finished_at: Date }) => DateTime.fromJSDate(finished_at, { zone }).toISODate()!
  return places.flatMap(({ id, date, session, made }): Done[] => {
    if (!session) return []
    const next = places.filter((p) => p.session === session && p.date > date).map((p) => p.date)
    const until = [...next, DateTime.fromISO(date, { zone }).plus({ days: doneWithin }).toISODate()!].sort()[0]!
    const homes = new Set(
      rows
        .filter(
          (row) => (row.workout_id === session || row.workout_id === made) && dayOf(row) >= date && dayOf(row) < until,
        )
        .map((row) => row.home),
    )
    return homes.size ? [{ place: id, homes: homes.size }] : []
  })
}

/** What a calendar shows of sessions: title, revision and planned minutes. */
export async function sessionsOf(
  db: Knex,
  teacherId: string,
  ids: readonly string[],
): Promise<Map<string, { id: string; title: string; minutes: number; revision: number }>> {
  const rows: { id: string; title: string; minutes: number; revision: number }[] = await owned(
    db,
    teacherId,
    'workouts',
  )
    .where({ removed_at: null })
    .whereIn('id', [...ids])
    .select('id', 'title', 'minutes', 'revision')
  return new Map(rows.map((row) => [row.id, row]))
}

/** Active links to sessions, the latest of each. */
export async function followedLinks(
  db: Knex,
  teacherId: string,
  sessionIds: readonly string[],
): Promise<{ id: string; sessionId: string; endsAt: Date }[]> {
  const rows: { id: string; workout_id: string; ends_at: Date }[] = await owned(db, teacherId, 'publications')
    .where({ ended_at: null })
    .whereIn('workout_id', [...sessionIds])
    .where('ends_at', '>', db.fn.now())
    .distinctOn('workout_id')
    .select('id', 'workout_id', 'ends_at')
    .orderBy([{ column: 'workout_id' }, { column: 'created_at', order: 'desc' }])
  return rows.map((r) => ({ id: r.id, sessionId: r.workout_id, endsAt: r.ends_at }))
}

interface LinkRow {
  id: string
  term_id: string
  token_hash: string
  created_at: Date
  ended_at: Date | null
}

const liveLinks = (db: Knex, teacherId: string, termId: string) =>
  owned<LinkRow>(db, teacherId, 'term_links').where({ term_id: termId, ended_at: null })

/** The active calendar address of a term; undefined if there is none. */
export const findTermLink = (db: Knex, teacherId: string, termId: string): Promise<LinkRow | undefined> =>
  liveLinks(db, teacherId, termId).first()

/** Gives one of her terms an address. */
export async function addTermLink(
  db: Knex,
  teacherId: string,
  termId: string,
  link: { id: string; tokenHash: string },
): Promise<void> {
  const term = owned(db, teacherId, 'terms').where({ id: termId })
  await db(db.raw('term_links (id, term_id, token_hash)')).insert(
    term.select(db.raw('?::uuid, id, ?', [link.id, link.tokenHash])),
  )
}

/** Ends a term's address. */
export async function endTermLink(db: Knex, teacherId: string, termId: string): Promise<void> {
  await liveLinks(db, teacherId, termId).update({ ended_at: db.fn.now() as unknown as Date })
}

/** Whose term an address leads to; ended if it is no longer active, or the term is in the trash. */
export async function findByTermToken(
  db: Knex,
  tokenHash: string,
): Promise<{ id: string; teacherId: string; ended: boolean } | undefined> {
  const row = await db('term_links as l')
    .join('terms as t', 't.id', 'l.term_id')
    .where({ 'l.token_hash': tokenHash })
    .first<{ id: string; teacher_id: string; ended_at: Date | null; removed_at: Date | null } | undefined>(
      't.id',
      't.teacher_id',
      'l.ended_at',
      't.removed_at',
    )
  return row && { id: row.id, teacherId: row.teacher_id, ended: Boolean(row.ended_at ?? row.removed_at) }
}
