import type { Logger } from 'pino'
import type { Knex } from 'knex'
import type { Outbox } from '../mail/outbox.ts'
import type { Library } from '@esfuerzo/core'
import { catchUp } from '../results/store.ts'
import { dropOrphans } from '../snapshots/orphans.ts'
import { classesToGo, deleteClass } from '../classes/store.ts'
import type { Deletions } from '../deletions/deletions.ts'
import { deletePupil, pupilsToGo } from '../pupils/store.ts'
import { eventDays } from '../events/store.ts'
import { dropKept } from '../results/retention.ts'
import { terms } from '../terms/store.ts'
import { binDays, deleteForGood } from '../sessions/store.ts'
import { dropRows } from '../tables/dropRows.ts'

/** Names the lock under which one of several servers cleans up: an arbitrary number of ours. */
const cleanUpLock = 4_180_002

const hour = 60 * 60 * 1000

/** What could not be cleaned up: it is retried next time and stops nothing else. */
export interface CleanUpFailure {
  kind: string
  /** Of the class, pupil, session or term. */
  id?: string
  error: unknown
}

/** How many rows of each kind were deleted, and what could not be cleaned up. */
export interface CleanedUp {
  gone: Record<string, number>
  failed: CleanUpFailure[]
}

interface Tally extends CleanedUp {
  /** Cleans up one kind; if it fails, the next one is done anyway. */
  kind: (name: string, work: () => Promise<number>) => Promise<void>
  /** Cleans up one row of a kind. @returns 1, or 0 if it failed */
  row: (kind: string, id: string, work: () => Promise<unknown>) => Promise<number>
}

function openTally(): Tally {
  const gone: Record<string, number> = {}
  const failed: CleanUpFailure[] = []
  return {
    gone,
    failed,
    async kind(name, work) {
      try {
        gone[name] = await work()
      } catch (error) {
        failed.push({ kind: name, error })
      }
    },
    async row(kind, id, work) {
      try {
        await work()
        return 1
      } catch (error) {
        failed.push({ kind, id, error })
        return 0
      }
    },
  }
}

/**
 * Deletes what has expired: ended sign-ins, counters, mailed links and copies; sessions and terms after thirty days in the trash, pupils
 * and classes after seven; results beyond a class's retention; unreferenced snapshots. Runs of links for all classes stay until their
 * teacher deletes them. Every kind, and every row of a kind, is handled in its own short transaction: a failure is reported, and everything
 * else continues.
 *
 * @param deletions a log of deleted pupils and classes
 * @param today the date for retention: one that has begun everywhere people live
 * @returns undefined if another server is cleaning up
 */
export async function cleanUp(
  db: Knex,
  deletions: Deletions,
  today: string = new Date(Date.now() - 12 * hour).toISOString().slice(0, 10),
): Promise<CleanedUp | undefined> {
  const release = await lockCleanUp(db)
  if (!release) return undefined
  try {
    const tally = openTally()
    const { kind, row } = tally
    const old = (table: string, condition: string) =>
      kind(table, () => dropRows(db, table, (query) => void query.whereRaw(condition)))
    await old('sign_ins', 'expire < now()')
    await old('limits', 'expire < extract(epoch from now()) * 1000')
    await old('mailed_links', 'ends_at < now()')
    await old('events', `at < now() - interval '${eventDays} days'`)
    await old('copies', 'ends_at < now()')
    const each = (name: string, toGo: () => Promise<Owned[]>, remove: (row: Owned) => Promise<unknown>) =>
      kind(name, async () => {
        let count = 0
        for (const owned of await toGo()) count += await row(name, owned.id, () => remove(owned))
        return count
      })
    const inTrash = (table: 'workouts' | 'terms') => (): Promise<Owned[]> =>
      db(table).whereRaw(`removed_at < now() - interval '${binDays} days'`).select('id', 'teacher_id')
    await each('workouts', inTrash('workouts'), ({ id, teacher_id }) => deleteForGood(db, teacher_id, id))
    await each('terms', inTrash('terms'), ({ id, teacher_id }) => terms.binned(db, teacher_id).where({ id }).delete())
    // A deletion is recorded first: what is recorded and not deleted is deleted next time.
    await each(
      'pupils',
      () => pupilsToGo(db),
      async ({ id, teacher_id: teacher }) => {
        await deletions.note({ what: 'pupil', teacher, id })
        await deletePupil(db, teacher, id)
      },
    )
    await each(
      'classes',
      () => classesToGo(db),
      async ({ id, teacher_id: teacher }) => {
        await deletions.note({ what: 'class', teacher, id })
        await deleteClass(db, teacher, id)
      },
    )
    await kind('runs', async () => {
      const { runs, results, failed } = await dropKept(db, today)
      tally.gone['results'] = results
      for (const { class: id, error } of failed) tally.failed.push({ kind: 'results', id, error })
      return runs
    })
    await kind('snapshots', () => dropOrphans(db))
    return { gone: tally.gone, failed: tally.failed }
  } finally {
    await release()
  }
}

interface Owned {
  id: string
  teacher_id: string
}

/** Holds the cleanup lock during a task, on its own connection. @returns undefined if another server has it */
async function lockCleanUp(db: Knex): Promise<(() => Promise<void>) | undefined> {
  const trx = await db.transaction()
  const { rows } = await trx.raw<{ rows: { mine: boolean }[] }>(
    `select set_config('idle_in_transaction_session_timeout', '0', true), pg_try_advisory_xact_lock(?) as mine`,
    [cleanUpLock],
  )
  if (rows[0]!.mine) return async () => void (await trx.rollback())
  await trx.rollback()
  return undefined
}

export interface CleanUpParts {
  db: Knex
  outbox: Outbox | undefined
  library: Library
  deletions: Deletions
  log: Logger
}

/** Cleans up once an hour, the first time right after the start. */
export function keepCleanedUp({ db, outbox, library, deletions, log }: CleanUpParts): { stop: () => void } {
  async function run(): Promise<void> {
    try {
      const done = await cleanUp(db, deletions)
      await outbox?.prune(Date.now())
      // Runs whose results could not be written with them, and publications of an earlier release.
      const caughtUp = done && (await catchUp(db, library))
      for (const { kind, id, error: err } of [...(done?.failed ?? []), ...(caughtUp?.failed ?? [])])
        log.warn({ err, kind, id }, 'something could not be cleaned up; it is tried again in an hour')
      log.debug({ gone: done?.gone, caughtUp }, 'cleaned up')
    } catch (err) {
      log.warn({ err }, 'cleaning up did not work; it is tried again in an hour')
    }
  }
  const first = setTimeout(() => void run(), 2000)
  const next = setInterval(() => void run(), hour)
  first.unref()
  next.unref()
  return {
    stop: () => {
      clearTimeout(first)
      clearInterval(next)
    },
  }
}
