import type { Knex } from 'knex'
import { linkToken, tokenHash } from '../http/linkToken.ts'

/** A link sent under another secret, and its replacement. */
export interface NewLink {
  title: string
  teacher: string
  token: string
}

interface Row {
  id: string
  title: string
  token_hash: string
  email: string
}

/**
 * Gives new tokens to links that this installation's secret does not generate. A database restored under another secret has such links:
 * pages and sheets would print tokens that lead nowhere. The old tokens stop working.
 *
 * @returns the active links, with their new tokens
 */
export async function rekeyLinks(db: Knex, secret: string, now: Date): Promise<NewLink[]> {
  return db.transaction(async (trx) => {
    const rows: (Row & { ends_at: Date; ended_at: Date | null })[] = await trx('publications as p')
      .join('teachers as t', 't.id', 'p.teacher_id')
      .select('p.id', 'p.title', 'p.token_hash', 'p.ends_at', 'p.ended_at', 't.email')
      .orderBy(['t.email', 'p.created_at'])
    const made: NewLink[] = []
    for (const { id, title, token_hash, email, ends_at, ended_at } of rows) {
      const token = linkToken('publication', id, secret)
      if (tokenHash(token) === token_hash) continue
      await trx('publications')
        .where({ id })
        .update({ token_hash: tokenHash(token) })
      if (!ended_at && ends_at > now) made.push({ title, teacher: email, token })
    }
    return made
  })
}
