import { randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import { tokenHash } from '../http/linkToken.ts'

/** What a mailed link does: lets its reader choose a password, or signs in. */
export type LinkPurpose = 'password' | 'sign-in'

/** For whom: an existing teacher, or a future one. */
export interface MailedLink {
  purpose: LinkPurpose
  teacherId: string | null
  email: string
  name: string | null
  zone: string | null
}

interface Row {
  token_hash: string
  purpose: LinkPurpose
  teacher_id: string | null
  email: string
  name: string | null
  zone: string | null
  ends_at: Date
}

/** How long such a link works, in milliseconds: one hour. */
export const linkLife = 60 * 60 * 1000

/**
 * Makes a link's token, 128 random bits; only its hash is stored. Earlier links to the same address for the same purpose stop working.
 *
 * @param now milliseconds
 */
export async function addMailedLink(db: Knex, link: MailedLink, now: number): Promise<string> {
  const token = randomBytes(16).toString('base64url')
  await db<Row>('mailed_links')
    .where((q) => q.where({ purpose: link.purpose }).whereRaw('lower(email) = lower(?)', [link.email]))
    .orWhere('ends_at', '<', new Date(now))
    .delete()
  await db<Row>('mailed_links').insert({
    token_hash: tokenHash(token),
    purpose: link.purpose,
    teacher_id: link.teacherId,
    email: link.email,
    name: link.name,
    zone: link.zone,
    ends_at: new Date(now + linkLife),
  })
  return token
}

/** Uses up a link: it works once. Undefined if it doesn't exist or has expired. */
export async function takeMailedLink(
  db: Knex,
  purpose: LinkPurpose,
  token: string,
  now: number,
): Promise<MailedLink | undefined> {
  const [row] = await db<Row>('mailed_links')
    .where({ token_hash: tokenHash(token), purpose })
    .delete()
    .returning('*')
  if (!row || row.ends_at.getTime() <= now) return undefined
  return { purpose, teacherId: row.teacher_id, email: row.email, name: row.name, zone: row.zone }
}
