import type { Knex } from 'knex'
import { wholeOutline } from '../snapshots/outline.ts'
import type { NewEntry } from './newEntry.ts'
import type { LooseRun, SentSession, TestOverDates } from '@esfuerzo/contract'
import { isForClass, laneOfClass, type BookEntry } from '@esfuerzo/core/classBook'
import { isWholeOutline, type Outline } from '@esfuerzo/core/publication'
import { owned, ownedBy, ownerSql } from '../rights/rights.ts'

interface Row extends Omit<NewEntry, 'source'> {
  run_id: string | null
  kg: number | null
  clean: 'yes' | 'no' | null
  at: Date
  source: BookEntry['source']
}

/** Null columns are left out. */
const said = <T extends object>(fields: T) =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== null)) as {
    [K in keyof T]?: NonNullable<T[K]>
  }

const entryOf = ({ id, pupil_id, what, value, at, source, ...rest }: Row): BookEntry => {
  const { block, station, lap, rung, trial, seconds, kg, clean, run_id: run } = rest
  return {
    id,
    pupil: pupil_id,
    what,
    ...said({ block, station, lap, rung, trial, seconds, kg, clean, run }),
    value,
    at: at.toISOString(),
    source,
  }
}

const entryColumns = [
  'id',
  'pupil_id',
  'run_id',
  'what',
  'block',
  'station',
  'lap',
  'rung',
  'trial',
  'value',
  'seconds',
  'kg',
  'clean',
  'at',
  'source',
].map((name) => `r.${name}`)

/** Current values of a class's pupils (not replaced by later ones). */
const ofClass = (db: Knex, teacherId: string, classId: string) =>
  db('results as r')
    .join('pupils as u', 'u.id', 'r.pupil_id')
    .modify(ownedBy(teacherId, 'pupils', 'u'))
    .where({ 'u.class_id': classId, 'u.removed_at': null, 'r.replaced_by': null })
    .select(entryColumns)
    // The order is arbitrary and ranks nobody.
    .orderBy(['u.alias_key', 'r.at', 'r.id'])

/** A class's results of a session sent home. */
export const readEntries = async (
  db: Knex,
  teacherId: string,
  classId: string,
  publicationId: string,
): Promise<BookEntry[]> =>
  ((await ofClass(db, teacherId, classId).where({ 'r.publication_id': publicationId })) as Row[]).map(entryOf)

/** Number of earlier times a session was sent home that a child's own line shows (ours). */
const timesBefore = 6

/** A class's results of the same session as it was sent home earlier. */
export async function readEarlier(
  db: Knex,
  teacherId: string,
  classId: string,
  publicationId: string,
): Promise<BookEntry[]> {
  const before = db('publications as p')
    .modify(ownedBy(teacherId, 'publications', 'p'))
    .join('publications as now', 'now.workout_id', 'p.workout_id')
    .where({ 'now.id': publicationId })
    .whereRaw('p.created_at < now.created_at')
    .orderBy('p.created_at', 'desc')
    .limit(timesBefore)
    .select('p.id')
  const rows: Row[] = await ofClass(db, teacherId, classId).whereIn('r.publication_id', before)
  return rows.map(entryOf)
}

interface TestRow {
  pupil_id: string
  test: string
  test_set_up: string | null
  how: string | null
  sha256: string
  unit: TestOverDates['unit']
  block: string
  trial: number | null
  value: number
  publication_id: string
  title: string
  created_at: Date
}

/** What a class measured, test by test, days in order; pupils in no order. */
export async function readTests(db: Knex, teacherId: string, classId: string): Promise<TestOverDates[]> {
  const rows: TestRow[] = await db('results as r')
    .join('pupils as u', 'u.id', 'r.pupil_id')
    .join('publications as p', 'p.id', 'r.publication_id')
    .modify(ownedBy(teacherId, 'pupils', 'u'))
    .where({ 'u.class_id': classId, 'u.removed_at': null, 'r.replaced_by': null, 'r.what': 'result' })
    .whereNotNull('r.test')
    .whereNotNull('r.value')
    .select(
      'r.pupil_id',
      'r.test',
      'r.test_set_up',
      'r.how',
      'p.sha256',
      'r.unit',
      'r.block',
      'r.trial',
      'r.value',
      'p.id as publication_id',
      'p.title',
      'p.created_at',
    )
    // Entries of one moment are ordered too: as reported first, then by id.
    .orderBy([
      'p.created_at',
      'r.block',
      'r.trial',
      'r.at',
      { column: 'r.test_set_up', order: 'asc', nulls: 'first' },
      'r.id',
    ])
  const outlines = new Map<string, Outline>()
  const stored: { sha256: string; outline: Outline | null }[] = await db('snapshots')
    .whereIn('sha256', [...new Set(rows.map((r) => r.sha256))])
    .select('sha256', 'outline')
  for (const { sha256, outline } of stored) outlines.set(sha256, await wholeOutline(db, sha256, outline))
  const tests = new Map<string, TestOverDates>()
  for (const row of rows) {
    const { test, unit, block, trial, value, pupil_id, publication_id, title, created_at, how } = row
    const told = outlines.get(row.sha256)?.blocks.find((b) => b.id === block)
    const [setUp, moment] = [row.test_set_up ?? told?.setUp, told?.moment ?? 'alone']
    // Counted differently, set up differently or done at another moment is another test.
    const like = [test, unit, setUp, moment].join(' ')
    const series = tests.get(like) ?? { test, unit, ...(setUp && { setUp }), moment, days: [], values: [] }
    tests.set(like, series)
    const key = `${publication_id} ${block}`
    if (!series.days.some((day) => day.key === key)) {
      series.days.push({ key, publicationId: publication_id, title, at: created_at.toISOString() })
    }
    series.values.push({ pupil: pupil_id, day: key, trial: trial ?? 1, value, ...(how && { otherwise: how }) })
  }
  return [...tests.values()]
}

/** Which of these entry ids a class already has for a session, whatever replaced them since. */
export async function storedAlready(
  db: Knex,
  teacherId: string,
  place: { classId: string; publicationId: string },
  ids: readonly string[],
): Promise<Set<string>> {
  const rows: { id: string }[] = await owned(db, teacherId, 'results')
    .where({ class_id: place.classId, publication_id: place.publicationId })
    .whereIn('id', [...ids])
    .select('id')
  return new Set(rows.map((r) => r.id))
}

/**
 * Stores entries, each replacing the one it names. An entry whose id is taken is left out.
 *
 * @param at when they were typed; now by default
 * @returns the stored entries
 */
export async function addEntries(
  trx: Knex.Transaction,
  place: { teacherId: string; classId: string; publicationId: string },
  entries: readonly NewEntry[],
  at?: Date,
): Promise<BookEntry[]> {
  if (!entries.length) return []
  const rows: Row[] = await trx('results')
    .insert(
      entries.map(({ replaces: _, ...entry }) => ({
        ...entry,
        teacher_id: place.teacherId,
        class_id: place.classId,
        publication_id: place.publicationId,
        at: at ?? trx.fn.now(),
        by: 'teacher',
      })),
    )
    .onConflict('id')
    .ignore()
    .returning('*')
  const stored = new Set(rows.map((row) => row.id))
  const replaced = entries.flatMap(({ id, replaces }) => (replaces && stored.has(id) ? [{ id, replaces }] : []))
  if (replaced.length) {
    await trx.raw(
      `update results set replaced_by = n.id
       from jsonb_to_recordset(cast(:replaced as jsonb)) as n (id uuid, replaces uuid)
       where results.id = n.replaces and ${ownerSql('results')}`,
      { replaced: JSON.stringify(replaced), teacherId: place.teacherId },
    )
  }
  return rows.map(entryOf)
}

/** The pupils of a class who are in it now. */
export async function pupilsIn(db: Knex, teacherId: string, classId: string): Promise<Set<string>> {
  const rows: { id: string }[] = await owned(db, teacherId, 'pupils')
    .where({ class_id: classId, removed_at: null })
    .select('id')
  return new Set(rows.map((r) => r.id))
}

/** Number of sessions listed, the latest first. */
const listed = 60

/** What was sent home to a class, or to everyone if one of its lanes is the class's. */
export async function listSent(
  db: Knex,
  teacherId: string,
  { id, grades }: { id: string; grades: readonly number[] },
): Promise<SentSession[]> {
  const rows: {
    id: string
    workout_id: string
    title: string
    class_id: string | null
    created_at: Date
    outline: Outline | null
    pupils: string
  }[] = await db('publications as p')
    .join('snapshots as s', 's.sha256', 'p.sha256')
    .join('workouts as w', 'w.id', 'p.workout_id')
    .modify(ownedBy(teacherId, 'publications', 'p'))
    .where({ 'w.removed_at': null })
    .where((either) => either.where({ 'p.class_id': id }).orWhereNull('p.class_id'))
    .orderBy('p.created_at', 'desc')
    .limit(listed)
    .select('p.id', 'p.workout_id', 'p.title', 'p.class_id', 'p.created_at', 's.outline')
    .select(
      db.raw(
        `(select count(distinct r.pupil_id) from results r join pupils u on u.id = r.pupil_id
          where r.publication_id = p.id and u.class_id = ? and u.removed_at is null and r.replaced_by is null
            and r.value is not null) as pupils`,
        [id],
      ),
    )
  return rows
    .filter(({ class_id, outline }) => class_id || !isWholeOutline(outline) || isForClass(outline.lanes, grades))
    .map(({ id: publication, workout_id: sessionId, title, created_at, pupils }) => ({
      workoutId: sessionId,
      id: publication,
      title,
      sentAt: created_at.toISOString(),
      pupils: Number(pupils),
    }))
}

/** Runs of a link without a pupil: those of the class's own lane first, the latest first. */
export async function looseRuns(
  db: Knex,
  teacherId: string,
  publicationId: string,
  outline: Outline,
  grades: readonly number[],
): Promise<LooseRun[]> {
  const own = laneOfClass(outline.lanes, grades)?.id
  const rows: { id: string; group_id: string; finished_at: Date; results: string }[] = await owned(
    db,
    teacherId,
    'runs',
  )
    .where({ publication_id: publicationId, pupil_id: null })
    .orderBy('finished_at', 'desc')
    .limit(listed)
    .select('id', 'group_id', 'finished_at')
    .select(db.raw(`jsonb_array_length(document->'results') as results`))
  const isOther = (row: { group_id: string }) => Number(row.group_id !== own)
  rows.sort((a, b) => isOther(a) - isOther(b))
  return rows.map(({ id, group_id, finished_at, results }) => ({
    publicationId,
    id,
    letter: outline.lanes.find((lane) => lane.id === group_id)?.letter ?? '',
    finishedAt: finished_at.toISOString(),
    results: Number(results),
  }))
}

/** A session sent home, if it is hers and for that class. */
export async function sentTo(
  db: Knex,
  teacherId: string,
  classId: string,
  publicationId: string,
): Promise<{ sha256: string; outline: Outline | null } | undefined> {
  return db('publications as p')
    .join('snapshots as s', 's.sha256', 'p.sha256')
    .modify(ownedBy(teacherId, 'publications', 'p'))
    .where({ 'p.id': publicationId })
    .where((either) => either.where({ 'p.class_id': classId }).orWhereNull('p.class_id'))
    .first('p.sha256', 's.outline')
}
