import type { Knex } from 'knex'
import { partDocument, readDocument, writtenText, type Part } from '@esfuerzo/core'
import type { KeptPart } from '@esfuerzo/contract'
import { owned } from '../rights/rights.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'

interface Row {
  id: string
  teacher_id: string
  name: string
  part: unknown
  kept_at: Date
}

const kept = (row: Row): KeptPart => ({
  id: row.id,
  name: row.name,
  keptAt: row.kept_at.toISOString(),
  part: readDocument(partDocument, row.part),
})

const own = (db: Knex, teacherId: string) => owned<Row>(db, teacherId, 'shelf')

/** How many parts a teacher can save (ours). */
export const shelfRoom = 200

/** A teacher's saved parts, the latest first. */
export async function listShelf(db: Knex, teacherId: string): Promise<KeptPart[]> {
  return (await own(db, teacherId).orderBy('kept_at', 'desc').limit(shelfRoom)).map(kept)
}

/** Saves a part; undefined if the limit is reached. */
export const keepPart = (
  db: Knex,
  teacherId: string,
  id: string,
  name: string,
  part: Part,
): Promise<KeptPart | undefined> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    const [count] = await own(trx, teacherId).count({ n: '*' })
    if (Number(count!.n) >= shelfRoom) return undefined
    const [row] = await trx<Row>('shelf')
      .insert({ id, teacher_id: teacherId, name, part: writtenText(partDocument, part) })
      .returning('*')
    return kept(row!)
  })

/** Renames a saved part. @returns undefined if it is not hers or doesn't exist */
export async function renamePart(db: Knex, teacherId: string, id: string, name: string): Promise<KeptPart | undefined> {
  const [row] = await own(db, teacherId).where({ id }).update({ name }).returning('*')
  return row && kept(row)
}

/** False if it is not hers or doesn't exist. */
export const removePart = async (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  (await own(db, teacherId).where({ id }).delete()) > 0
