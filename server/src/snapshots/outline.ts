import type { Knex } from 'knex'
import { isWholeOutline, outlineOf, type Outline, type Publication } from '@esfuerzo/core/publication'

/** Snapshots of an earlier release have no outline or an incomplete one: it is made and stored on first use. */
export async function makeOutlines(db: Knex, shas: readonly string[]): Promise<Map<string, Outline>> {
  const made = new Map<string, Outline>()
  for (const sha256 of shas) {
    const row = await db<{ sha256: string; body: string }>('snapshots').where({ sha256 }).first('body')
    if (!row) continue
    const outline = outlineOf(JSON.parse(row.body) as Publication)
    await db('snapshots')
      .where({ sha256 })
      .update({ outline: JSON.stringify(outline) })
    made.set(sha256, outline)
  }
  return made
}

/** A current outline: the stored one, or made now. */
export const wholeOutline = async (db: Knex, sha256: string, stored: Outline | null): Promise<Outline> =>
  isWholeOutline(stored) ? stored : (await makeOutlines(db, [sha256])).get(sha256)!
