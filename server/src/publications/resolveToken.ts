import type { Knex } from 'knex'
import { ServerError } from '../http/serverError.ts'
import { findByToken, type LinkTarget } from './store.ts'
import { tokenHash } from '../http/linkToken.ts'

/**
 * The target of a link.
 *
 * @throws {ServerError} `not-found` for an unknown token, `ended` for one whose time is over
 */
export async function resolveToken(db: Knex, token: string): Promise<LinkTarget> {
  const target = await findByToken(db, tokenHash(token))
  if (!target) throw new ServerError('not-found')
  if (Math.min(target.endedAt?.getTime() ?? Infinity, target.endsAt.getTime()) <= Date.now())
    throw new ServerError('ended')
  return target
}
