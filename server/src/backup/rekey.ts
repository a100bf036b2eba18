import type { Knex } from 'knex'
import { linkToken, tokenHash } from '../http/linkToken.ts'
import { separateCodes } from '../pupils/store.ts'
import { rekeyLinks, type NewLink } from './rekeyLinks.ts'

/** What became invalid with the old secret. */
export interface Rekeyed {
  /** Active links to families, with their new tokens. */
  links: NewLink[]
  signIns: number
  copies: number
  calendars: number
}

/**
 * Invalidates everything made under another secret than this one: whoever has that secret could forge every link, code and key. Links to
 * families get new tokens; calendar addresses, copies and mailed links are deleted, and everybody is signed out; pupils' codes and their
 * devices' keys change, because they are made from the secret. An unfinished run without its new link stays on its device, and can be sent
 * as a file.
 */
export async function rekey(db: Knex, secret: string, now: Date): Promise<Rekeyed> {
  // All or nothing: links are listed once, and a link whose new address nobody saw is lost.
  return db.transaction(async (trx) => {
    const links = await rekeyLinks(trx, secret, now)
    await separateCodes(trx, secret)
    const stale = <Row extends { id: string; token_hash: string }>(rows: readonly Row[], kind: 'copy' | 'term') =>
      rows.filter((row) => tokenHash(linkToken(kind, row.id, secret)) !== row.token_hash).map((row) => row.id)
    const held = (table: string): Promise<{ id: string; token_hash: string }[]> => trx(table).select('id', 'token_hash')
    const copies = stale(await held('copies'), 'copy')
    const calendars = stale(await trx('term_links').where({ ended_at: null }).select('id', 'token_hash'), 'term')
    await trx('copies').whereIn('id', copies).delete()
    await trx('term_links').whereIn('id', calendars).update({ ended_at: now })
    await trx('mailed_links').delete()
    return { links, signIns: await trx('sign_ins').delete(), copies: copies.length, calendars: calendars.length }
  })
}
