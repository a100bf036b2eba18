import { setImmediate } from 'node:timers/promises'
import type { Knex } from 'knex'
import { readDocument } from '@esfuerzo/core'
import { runDocument, type Run } from '@esfuerzo/core/run'
import { inBatches, storedSize } from '../tables/inBatches.ts'
import { owned, ownedBy } from '../rights/rights.ts'

const iso = (date: Date) => date.toISOString()

/** Number of runs read at a time (ours); fewer large ones. */
const runBatch = 20

/** A teacher's document, with its title. */
interface Titled {
  id: string
  title: string
  document: unknown
}

/** The titles of all of a teacher's sessions, including those in the trash. */
export const sessionTitles = (db: Knex, teacherId: string): Promise<{ id: string; title: string }[]> =>
  owned(db, teacherId, 'workouts').select('id', 'title').orderBy(['created_at', 'id'])

/** A teacher's sessions with these ids. */
export const allSessions = (db: Knex, teacherId: string, ids: readonly { id: string }[]): AsyncGenerator<Titled> =>
  inBatches<Titled>(ids, (some) =>
    owned(db, teacherId, 'workouts').whereIn('id', some).select('id', 'title', 'document'),
  )

/** All of a teacher's terms, including those in the trash. */
export async function* allTerms(db: Knex, teacherId: string): AsyncGenerator<Titled> {
  const hers = () => owned(db, teacherId, 'terms')
  yield* inBatches<Titled>(await hers().select('id').orderBy(['starts', 'id']), (ids) =>
    hers().whereIn('id', ids).select('id', 'title', 'document'),
  )
}

interface State {
  id: string
  name: string | null
  savedAt: Date
  document: unknown
}

/** Every stored revision of one of a teacher's sessions. */
export async function* allStates(db: Knex, teacherId: string, sessionId: string): AsyncGenerator<State> {
  const states = () =>
    db('workout_versions as v')
      .join('workouts as w', 'w.id', 'v.workout_id')
      .modify(ownedBy(teacherId, 'workouts', 'w'))
      .where({ 'w.id': sessionId })
  yield* inBatches<State>(await states().select('v.id').orderBy(['v.saved_at', 'v.id']), (ids) =>
    states().whereIn('v.id', ids).select('v.id', 'v.name', 'v.saved_at as savedAt', 'v.document'),
  )
}

/** Every link a teacher sent home, for her export. */
export async function allPublications(
  db: Knex,
  teacherId: string,
): Promise<{ session: string; sha256: string; madeAt: string; endsAt: string; endedAt: string | null }[]> {
  const rows: { title: string; sha256: string; created_at: Date; ends_at: Date; ended_at: Date | null }[] = await owned(
    db,
    teacherId,
    'publications',
  )
    .select('title', 'sha256', 'created_at', 'ends_at', 'ended_at')
    .orderBy('created_at')
  return rows.map((r) => ({
    session: r.title,
    sha256: r.sha256,
    madeAt: iso(r.created_at),
    endsAt: iso(r.ends_at),
    endedAt: r.ended_at && iso(r.ended_at),
  }))
}

/** A run with the title of its session. */
export interface CameIn {
  title: string
  receivedAt: string
  run: Run
}

/** Every run of a teacher's links, by link and in order of arrival. */
export async function* allRuns(db: Knex, teacherId: string): AsyncGenerator<CameIn> {
  const links: { id: string; title: string }[] = await owned(db, teacherId, 'publications')
    .select('id', 'title')
    .orderBy(['created_at', 'id'])
  for (const { id, title } of links) {
    const runs = () => owned(db, teacherId, 'runs').where({ publication_id: id })
    const all: { id: string; size: number }[] = await runs()
      .select('id', db.raw(storedSize('document')))
      .orderBy(['received_at', 'id'])
    // As text: the driver would parse all documents of a batch in one go, and everybody would wait for it.
    const read = (ids: string[]) =>
      runs().whereIn('id', ids).select('id', 'received_at', db.raw('document::text as text'))
    for await (const r of inBatches<{ id: string; received_at: Date; text: string }>(all, read, runBatch)) {
      const run = readDocument(runDocument, JSON.parse(r.text))
      await setImmediate()
      yield { title, receivedAt: iso(r.received_at), run }
    }
  }
}
