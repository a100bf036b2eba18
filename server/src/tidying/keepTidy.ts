import type { Logger } from 'pino'
import type { Knex } from 'knex'
import type { Outbox } from '../mail/outbox.ts'
import type { Library } from '@esfuerzo/core'
import { catchUp } from '../results/store.ts'
import { dropOrphans } from '../publications/orphans.ts'
import { binDays } from '../workouts/store.ts'

/** Names the lock under which one of several servers tidies: a number of our own. */
const tidyLock = 4_180_002

/**
 * Takes away what has had its time: ended sign-ins, counts, mailed links and copies, sessions that have lain in the bin for thirty
 * days, snapshots that nothing leads to. What a class did stays until its teacher deletes it.
 *
 * @returns how many rows of each table went; undefined where another server is at it
 */
export async function tidy(db: Knex): Promise<Record<string, number> | undefined> {
  const gone = await db.transaction(async (trx) => {
    const { rows } = await trx.raw<{ rows: { mine: boolean }[] }>('select pg_try_advisory_xact_lock(?) as mine', [
      tidyLock,
    ])
    if (!rows[0]!.mine) return undefined
    return {
      sign_ins: await trx('sign_ins').whereRaw('expire < now()').delete(),
      limits: await trx('limits').whereRaw('expire < extract(epoch from now()) * 1000').delete(),
      mailed_links: await trx('mailed_links').whereRaw('ends_at < now()').delete(),
      copies: await trx('copies').whereRaw('ends_at < now()').delete(),
      workouts: await trx('workouts').whereRaw(`removed_at < now() - interval '${binDays} days'`).delete(),
    }
  })
  return gone && { ...gone, snapshots: await dropOrphans(db) }
}

const hour = 60 * 60 * 1000

/** Tidies once an hour, the first time a minute after the start. */
export function keepTidy(db: Knex, outbox: Outbox | undefined, library: Library, log: Logger): { stop: () => void } {
  async function run(): Promise<void> {
    try {
      const gone = await tidy(db)
      await outbox?.prune(Date.now())
      // Runs that a release before has stored, and what it sent home.
      const caughtUp = gone && (await catchUp(db, library))
      log.debug({ gone, caughtUp }, 'tidied')
    } catch (err) {
      log.warn({ err }, 'tidying did not work; it is tried again in an hour')
    }
  }
  const first = setTimeout(() => void run(), 60_000)
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
