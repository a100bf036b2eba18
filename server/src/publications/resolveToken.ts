import type { Knex } from 'knex'
import { ServerError } from '../http/serverError.ts'
import { findByToken, findForRun, type LinkTarget, type RunTarget } from './store.ts'
import { tokenHash } from '../http/linkToken.ts'

/** When a link ended or will end. */
const endOf = ({ endedAt, endsAt }: Pick<LinkTarget, 'endedAt' | 'endsAt'>): number =>
  Math.min(endedAt?.getTime() ?? Infinity, endsAt.getTime())

function known<T>(target: T | undefined): T {
  if (!target) throw new ServerError('not-found')
  return target
}

/**
 * Where a link leads.
 *
 * @throws {ServerError} `not-found` for a token nobody made, `ended` for one whose time is over
 */
export async function resolveToken(db: Knex, token: string): Promise<LinkTarget> {
  const target = known(await findByToken(db, tokenHash(token)))
  if (endOf(target) <= Date.now()) throw new ServerError('ended')
  return target
}

/** How long after its link's end a run may come in that was over before it: a device may have been off for a holiday. Ours. */
export const lateDays = 14
const day = 24 * 60 * 60 * 1000

/**
 * Where a run belongs: through a live link any; through one that has ended those that were over by then and come within
 * {@link lateDays}, but none where it was ended for misuse.
 *
 * @param finishedAt when the run was over, by the device's clock
 * @throws {ServerError} `not-found`, `ended`
 */
export async function resolveForRun(db: Knex, token: string, finishedAt: string): Promise<RunTarget> {
  const target = known(await findForRun(db, tokenHash(token)))
  const end = endOf(target)
  if (end > Date.now()) return target
  const inTime = Date.parse(finishedAt) <= end && Date.now() <= end + lateDays * day
  if (target.misused || !inTime) throw new ServerError('ended')
  return target
}
