import type { Knex } from 'knex'
import { readDocument, runDocument, writtenText, type Publication, type Run } from '@esfuerzo/core'
import type { RunSummary } from '@esfuerzo/contract'

/** Stores a run; one that is there already stays as it is. */
export async function addRun(db: Knex, publicationId: string, run: Run, receivedAt?: Date): Promise<void> {
  await db('runs')
    .insert({
      publication_id: publicationId,
      id: run.id,
      group_id: run.group,
      started_at: run.startedAt,
      finished_at: run.finishedAt,
      zone: run.zone,
      document: writtenText(runDocument, run),
      ...(receivedAt && { received_at: receivedAt }),
    })
    .onConflict(['publication_id', 'id'])
    .ignore()
}

/** So many runs are a page. */
const page = 24
/** A mark has milliseconds; the database counts finer. */
const received = "date_trunc('milliseconds', r.received_at)"

interface Row {
  id: string
  document: unknown
  received_at: Date
  title: string
  workout_id: string
  sha256: string
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
      .where({ 'p.teacher_id': teacherId, 'w.removed_at': null, ...(workoutId && { 'p.workout_id': workoutId }) })
  const query = theirs()
    .select('r.id', 'r.document', 'r.received_at', 'p.title', 'p.workout_id', 'p.sha256')
    .orderByRaw(`${received} desc, r.id desc`)
    .limit(page + 1)
  if (before) query.whereRaw(`(${received}, r.id) < (?::timestamptz, ?::uuid)`, before.split('~'))
  const [count] = await theirs().count({ n: '*' })
  const found: Row[] = await query
  const rows = found.slice(0, page)
  const last = found.length > page ? rows.at(-1) : undefined
  const shas = [...new Set(rows.map((r) => r.sha256))]
  const bodies: { sha256: string; body: string }[] = await db('snapshots')
    .whereIn('sha256', shas)
    .select('sha256', 'body')
  const snapshots = new Map(bodies.map((b) => [b.sha256, JSON.parse(b.body) as Publication]))
  const runs = rows.map(({ document, received_at, title, workout_id, sha256 }) => {
    const run = readDocument(runDocument, document)
    const publication = snapshots.get(sha256)!
    const lane = publication.lanes.find((l) => l.id === run.group)
    return {
      receivedAt: received_at.toISOString(),
      workoutId: workout_id,
      title,
      letter: lane?.letter ?? '',
      groupName: lane?.name ?? '',
      run,
      stations: stationNames(publication, run),
    }
  })
  return { runs, total: Number(count!.n), next: last ? `${last.received_at.toISOString()}~${last.id}` : null }
}

/** The names of what a run has results for: of a station its move, of a block without stations its title or its part's. */
function stationNames(publication: Publication, run: Run): Record<string, string> {
  const lane = publication.lanes.find((l) => l.id === run.group)
  const names: Record<string, string> = {}
  for (const { station, block } of run.results) {
    if (!station) {
      const section = publication.sections.find((s) => s.blocks.some((b) => b.id === block))
      names[block] = section?.blocks.find((b) => b.id === block)?.title ?? section?.title ?? ''
      continue
    }
    const step = lane?.steps.find((s) => s.station === station && s.move)
    const move = publication.moves.find((m) => m.id === step?.move)
    if (station && move) names[station] = move.versions.find((v) => v.id === step?.version)?.name ?? move.name
  }
  return names
}
