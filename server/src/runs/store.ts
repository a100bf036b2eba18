import type { Knex } from 'knex'
import { readDocument, writtenText } from '@esfuerzo/core'
import { runDocument, type Run } from '@esfuerzo/core/run'
import type { RunSummary } from '@esfuerzo/contract'
import { isWholeOutline, type Outline } from '@esfuerzo/core/publication'
import { makeOutlines } from '../publications/outline.ts'
import { insertRows, rowsOf } from '../results/store.ts'

/** A link has room for so many runs: several classes over a term (ours). */
export const runRoom = 3000

/**
 * Stores a run with its results one by one; one that is there already stays as it is.
 *
 * @param outline of what was sent home, which tells what each result is of
 * @returns false where the link has no room for another
 */
export async function addRun(
  db: Knex,
  publicationId: string,
  run: Run,
  outline: Outline,
  receivedAt?: Date,
): Promise<boolean> {
  const statement = db.raw<{ rows: { room: boolean; there: boolean }[] }>(
    `with room as (select count(*) < :room as room from runs where publication_id = :publicationId),
          added as (
            insert into runs (publication_id, id, group_id, started_at, finished_at, zone, document, received_at, has_rows)
            select :publicationId, :run, :group, :startedAt, :at, :zone, :document, coalesce(:receivedAt, now()), true
            from room where room on conflict (publication_id, id) do nothing returning 1),
          rowed as (${insertRows('exists (select from added)')})
     select room, exists (select from runs where publication_id = :publicationId and id = :run) as there from room`,
    {
      publicationId,
      room: runRoom,
      run: run.id,
      group: run.group,
      startedAt: run.startedAt,
      at: run.finishedAt,
      rows: rowsOf(run, outline),
      zone: run.zone,
      document: writtenText(runDocument, run),
      receivedAt: (receivedAt ?? null) as never,
    },
  )
  const { rows } = await statement.options({ name: 'add-run' })
  return rows[0]!.room || rows[0]!.there
}

const own = (db: Knex, teacherId: string, publicationId: string) =>
  db('runs')
    .where({ publication_id: publicationId })
    .whereExists(db('publications').where({ id: publicationId, teacher_id: teacherId }))

/** Deletes one run for good; false where it is not hers or not there. */
export const removeRun = async (db: Knex, teacherId: string, publicationId: string, id: string): Promise<boolean> =>
  (await own(db, teacherId, publicationId).where({ id }).delete()) > 0

/** Deletes everything that came through a link; false where nothing did, or it is not hers. */
export const removeRuns = async (db: Knex, teacherId: string, publicationId: string): Promise<boolean> =>
  (await own(db, teacherId, publicationId).delete()) > 0

/** So many runs are a page. */
const page = 24
/** A mark has milliseconds; the database counts finer. */
const received = "date_trunc('milliseconds', r.received_at)"

interface Row {
  id: string
  publication_id: string
  document: unknown
  received_at: Date
  title: string
  workout_id: string
  sha256: string
  outline: Outline | null
}

/**
 * What came back to a teacher, of all her sessions or of one, the latest first.
 *
 * @param before the `next` of the page before
 */
export async function listRuns(
  db: Knex,
  teacherId: string,
  workoutId: string | undefined,
  before: string | undefined,
): Promise<{ runs: RunSummary[]; total: number; next: string | null }> {
  const theirs = () =>
    db('runs as r')
      .join('publications as p', 'p.id', 'r.publication_id')
      .join('workouts as w', 'w.id', 'p.workout_id')
      .join('snapshots as s', 's.sha256', 'p.sha256')
      .where({ 'p.teacher_id': teacherId, 'w.removed_at': null, ...(workoutId && { 'p.workout_id': workoutId }) })
  const query = theirs()
    .select(
      'r.id',
      'r.publication_id',
      'r.document',
      'r.received_at',
      'p.title',
      'p.workout_id',
      'p.sha256',
      's.outline',
    )
    .orderByRaw(`${received} desc, r.id desc`)
    .limit(page + 1)
  if (before) query.whereRaw(`(${received}, r.id) < (?::timestamptz, ?::uuid)`, before.split('~'))
  const [count] = await theirs().count({ n: '*' })
  const found: Row[] = await query
  const rows = found.slice(0, page)
  const last = found.length > page ? rows.at(-1) : undefined
  const without = rows.filter((r) => !isWholeOutline(r.outline)).map((r) => r.sha256)
  const made = await makeOutlines(db, [...new Set(without)])
  const runs = rows.map(({ publication_id, document, received_at, title, workout_id, sha256, outline }) => {
    const run = readDocument(runDocument, document)
    const { lanes, blocks } = made.get(sha256) ?? outline!
    const lane = lanes.find((l) => l.id === run.group)
    const names: Record<string, string> = { ...lane?.stations, ...nameOfBlocks(blocks) }
    const asked = run.results.map(({ station, block }) => station ?? block)
    return {
      receivedAt: received_at.toISOString(),
      publicationId: publication_id,
      workoutId: workout_id,
      title,
      letter: lane?.letter ?? '',
      groupName: lane?.name ?? '',
      run,
      stations: Object.fromEntries(asked.flatMap((id) => (id in names ? [[id, names[id]!]] : []))),
    }
  })
  return { runs, total: Number(count!.n), next: last ? `${last.received_at.toISOString()}~${last.id}` : null }
}

const nameOfBlocks = (blocks: Outline['blocks']) => Object.fromEntries(blocks.map(({ id, name }) => [id, name]))
