import type { Knex } from 'knex'
import { cameBackOf } from '@esfuerzo/core/nextTime'
import { readDocument, writtenText } from '@esfuerzo/core'
import { resultRows, runDocument, type Run } from '@esfuerzo/core/run'
import type { RunSummary } from '@esfuerzo/contract'
import { isWholeOutline, type Outline } from '@esfuerzo/core/publication'
import { ServerError } from '../http/serverError.ts'
import { makeOutlines } from '../snapshots/outline.ts'
import { findPupil } from '../pupils/store.ts'
import type { RunLink } from './runLinks.ts'
import { runMoment } from './runMoment.ts'
import { owned, ownedBy } from '../rights/rights.ts'

/** Limit of runs for a link: several classes over a term (ours). */
export const runRoom = 3000

/** How long after its link's end a run may arrive that ended before: a device may have been off during a holiday. Ours. */
export const lateDays = 14

/**
 * Whether a link accepts a run: an active one any; an ended one those finished before and received within {@link lateDays}, but none if it
 * was ended for misuse. Bindings `now`, `at` (when the run was finished, by the device's clock), `lateDays`.
 */
const takesRun = `
  least(ended_at, ends_at) > :now
  or not misused and :at <= least(ended_at, ends_at) and :now <= least(ended_at, ends_at) + :lateDays * interval '1 day'`

/**
 * Stores a run, if its link accepts it at this moment; an existing run stays unchanged. Its results follow ({@link ResultWriter}): a run is
 * kept even if they fail.
 *
 * @param pupil the run's pupil, if known
 * @throws {ServerError} `not-found` if the link no longer exists, `ended` if it accepts none any more, `too-many-tries` if it has no room
 *   for another
 */
export async function addRun(db: Knex, link: RunLink, run: Run, pupil?: string): Promise<void> {
  const now = new Date()
  const at = runMoment(run.finishedAt, now.getTime())
  const statement = db.raw<{ rows: { takes: boolean; room: boolean; there: boolean }[] }>(
    `with link as (select ${takesRun} as takes from publications where id = :publicationId and token_hash = :tokenHash),
          room as (select count(*) < :room as room from runs where publication_id = :publicationId),
          added as (
            insert into runs (publication_id, id, pupil_id, group_id, started_at, finished_at, zone, document, came_back, received_at)
            select :publicationId, :run, cast(:pupil as uuid), :group, :startedAt, :finishedAt, :zone, :document, :cameBack, now()
            from link, room where takes and room on conflict (publication_id, id) do nothing returning 1)
     select takes, room,
            exists (select from added) or exists (select from runs where publication_id = :publicationId and id = :run) as there
     from link, room`,
    {
      publicationId: link.id,
      tokenHash: link.tokenHash,
      now,
      lateDays,
      room: runRoom,
      run: run.id,
      group: run.group,
      at: run.finishedAt,
      startedAt: runMoment(run.startedAt, now.getTime()),
      finishedAt: at,
      zone: run.zone,
      // Its row says whose it is: that can be corrected.
      document: writtenText(runDocument, withoutPupil(run)),
      cameBack: JSON.stringify(cameBackOf(run)),
      pupil: (pupil ?? null) as never,
    },
  )
  const { rows } = await statement.options({ name: 'add-run' })
  const [kept] = rows
  if (!kept) throw new ServerError('not-found')
  if (!kept.takes) throw new ServerError('ended')
  if (!kept.room && !kept.there) throw new ServerError('too-many-tries')
}

/** Stores many new runs of one publication at once, with their results. */
export async function addRuns(
  trx: Knex.Transaction,
  { id, teacherId }: { id: string; teacherId: string },
  runs: readonly { run: Run; pupil?: string | undefined }[],
  outline: Outline,
): Promise<void> {
  const rows = runs.map(({ run, pupil }) => ({
    publication_id: id,
    id: run.id,
    pupil_id: pupil ?? null,
    group_id: run.group,
    started_at: run.startedAt,
    finished_at: run.finishedAt,
    zone: run.zone,
    document: writtenText(runDocument, run),
    came_back: JSON.stringify(cameBackOf(run)),
    received_at: run.finishedAt,
    has_rows: true,
  }))
  const results = runs.flatMap(({ run, pupil }) =>
    resultRows(run, outline).map(({ testSetUp, ...row }) => ({
      ...row,
      test_set_up: testSetUp,
      teacher_id: teacherId,
      pupil_id: pupil ?? null,
      publication_id: id,
      run_id: run.id,
      source: 'run',
      at: run.finishedAt,
      by: 'home',
    })),
  )
  await trx.batchInsert('runs', rows, 200)
  await trx.batchInsert('results', results, 500)
}

const withoutPupil = ({ pupil: _, ...run }: Run): Run => run

/**
 * Assigns a run with all its results to a pupil, or to nobody.
 *
 * @returns false if the run or the pupil is not hers
 */
export const moveRun = (
  db: Knex,
  teacherId: string,
  { publicationId, run, pupil }: { publicationId: string; run: string; pupil: string | null },
): Promise<boolean> =>
  db.transaction(async (trx) => {
    if (pupil && !(await findPupil(trx, teacherId, pupil))) return false
    const moved = await own(trx, teacherId, publicationId).where({ id: run }).update({ pupil_id: pupil })
    if (moved === 0) return false
    await owned(trx, teacherId, 'results')
      .where({ publication_id: publicationId, run_id: run })
      .update({ pupil_id: pupil })
    return true
  })

const own = (db: Knex, teacherId: string, publicationId: string) =>
  owned(db, teacherId, 'runs').where({ publication_id: publicationId })

/** Deletes one run permanently; false if it is not hers or doesn't exist. */
export const removeRun = async (db: Knex, teacherId: string, publicationId: string, id: string): Promise<boolean> =>
  (await own(db, teacherId, publicationId).where({ id }).delete()) > 0

/** Deletes everything that came through a link; false if there was nothing, or it is not hers. */
export const removeRuns = async (db: Knex, teacherId: string, publicationId: string): Promise<boolean> =>
  (await own(db, teacherId, publicationId).delete()) > 0

/** Number of runs on a page. */
const page = 24
/** A page mark has milliseconds; the database has microseconds. */
const received = "date_trunc('milliseconds', r.received_at)"

/**
 * A run as a list shows it: without the time of single steps, and with no more values than fit a line. A whole run may be 150 KiB, and
 * reading a page of them would delay everybody else.
 */
const listedDocument = `jsonb_set(r.document - 'counted', '{results}', coalesce(
  (select jsonb_agg(value - 'how' order by nth)
   from jsonb_array_elements(r.document->'results') with ordinality as results (value, nth) where nth <= 40), '[]'::jsonb))`

interface Row {
  id: string
  publication_id: string
  alias: string | null
  document: unknown
  received_at: Date
  title: string
  workout_id: string
  sha256: string
  outline: Outline | null
}

/**
 * A teacher's runs, of all her sessions or of one, the latest first.
 *
 * @param before the `next` of the previous page
 */
export async function listRuns(
  db: Knex,
  teacherId: string,
  sessionId: string | undefined,
  before: string | undefined,
): Promise<{ runs: RunSummary[]; total: number; next: string | null }> {
  const theirs = () =>
    db('runs as r')
      .join('publications as p', 'p.id', 'r.publication_id')
      .join('workouts as w', 'w.id', 'p.workout_id')
      .join('snapshots as s', 's.sha256', 'p.sha256')
      .leftJoin('pupils as u', 'u.id', 'r.pupil_id')
      .whereNull('u.removed_at')
      .modify(ownedBy(teacherId, 'publications', 'p'))
      .where({ 'w.removed_at': null, ...(sessionId && { 'p.workout_id': sessionId }) })
  const query = theirs()
    .select(
      'r.id',
      'r.publication_id',
      'u.alias',
      db.raw(`${listedDocument} as document`),
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
  const runs = rows.map(({ publication_id, alias, document, received_at, title, workout_id, sha256, outline }) => {
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
      alias,
      run,
      stations: Object.fromEntries(asked.flatMap((id) => (id in names ? [[id, names[id]!]] : []))),
    }
  })
  return { runs, total: Number(count!.n), next: last ? `${last.received_at.toISOString()}~${last.id}` : null }
}

const nameOfBlocks = (blocks: Outline['blocks']) => Object.fromEntries(blocks.map(({ id, name }) => [id, name]))
