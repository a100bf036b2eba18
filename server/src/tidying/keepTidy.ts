import type { Logger } from 'pino'
import type { Knex } from 'knex'
import type { Outbox } from '../mail/outbox.ts'
import type { Library } from '@esfuerzo/core'
import { catchUp } from '../results/store.ts'
import { dropOrphans } from '../publications/orphans.ts'
import { classesToGo, deleteClass } from '../classes/store.ts'
import type { Deletions } from '../deletions/deletions.ts'
import { deletePupil, pupilsToGo } from '../pupils/store.ts'
import { eventDays } from '../events/store.ts'
import { dropKept } from '../results/retention.ts'
import { binDays } from '../workouts/store.ts'

/** Names the lock under which one of several servers tidies: a number of our own. */
const tidyLock = 4_180_002

const hour = 60 * 60 * 1000

/**
 * Takes away what has had its time: ended sign-ins, counts, mailed links and copies, sessions that have lain in the bin for thirty
 * days, pupils and classes that have for seven, results that a class keeps no longer, snapshots that nothing leads to. What came
 * through links for all stays until its teacher deletes it.
 *
 * @param deletions where pupils and classes that go are noted
 * @param today the day results are held against: one that has begun wherever people live
 * @returns how many rows of each table went; undefined where another server is at it
 */
export async function tidy(
  db: Knex,
  deletions: Deletions,
  today: string = new Date(Date.now() - 12 * hour).toISOString().slice(0, 10),
): Promise<Record<string, number> | undefined> {
  const gone = await db.transaction(async (trx) => {
    const { rows } = await trx.raw<{ rows: { mine: boolean }[] }>('select pg_try_advisory_xact_lock(?) as mine', [
      tidyLock,
    ])
    if (!rows[0]!.mine) return undefined
    return {
      sign_ins: await trx('sign_ins').whereRaw('expire < now()').delete(),
      limits: await trx('limits').whereRaw('expire < extract(epoch from now()) * 1000').delete(),
      mailed_links: await trx('mailed_links').whereRaw('ends_at < now()').delete(),
      events: await trx('events').whereRaw(`at < now() - interval '${eventDays} days'`).delete(),
      copies: await trx('copies').whereRaw('ends_at < now()').delete(),
      workouts: await trx('workouts').whereRaw(`removed_at < now() - interval '${binDays} days'`).delete(),
      terms: await trx('terms').whereRaw(`removed_at < now() - interval '${binDays} days'`).delete(),
      pupils: await emptyBin(await pupilsToGo(trx), 'pupil', (teacher, id) => deletePupil(trx, teacher, id), deletions),
      classes: await emptyBin(
        await classesToGo(trx),
        'class',
        (teacher, id) => deleteClass(trx, teacher, id),
        deletions,
      ),
      ...(await dropKept(trx, today)),
    }
  })
  return gone && { ...gone, snapshots: await dropOrphans(db) }
}

/** Deletes what has lain in the bin its time. It is noted first: what is noted and not deleted is deleted the next time. */
async function emptyBin(
  toGo: readonly { id: string; teacher_id: string }[],
  what: 'pupil' | 'class',
  remove: (teacher: string, id: string) => Promise<boolean>,
  deletions: Deletions,
): Promise<number> {
  for (const { id, teacher_id: teacher } of toGo) {
    await deletions.note({ what, teacher, id })
    await remove(teacher, id)
  }
  return toGo.length
}

export interface TidyParts {
  db: Knex
  outbox: Outbox | undefined
  library: Library
  deletions: Deletions
  log: Logger
}

/** Tidies once an hour, the first time as soon as the start is over. */
export function keepTidy({ db, outbox, library, deletions, log }: TidyParts): { stop: () => void } {
  async function run(): Promise<void> {
    try {
      const gone = await tidy(db, deletions)
      await outbox?.prune(Date.now())
      // Runs that a release before has stored, and what it sent home.
      const caughtUp = gone && (await catchUp(db, library))
      log.debug({ gone, caughtUp }, 'tidied')
    } catch (err) {
      log.warn({ err }, 'tidying did not work; it is tried again in an hour')
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
