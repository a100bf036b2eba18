import type { Knex } from 'knex'
import { documentKinds, mostOwnMoves, movesFile, readDocument, type OwnMove } from '@esfuerzo/core'
import type { UsedMove } from '@esfuerzo/contract'
import { makeOutlines } from '../publications/outline.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'
import { owned, ownedBy } from '../rights/rights.ts'

interface Row {
  teacher_id: string
  id: string
  document: unknown
  changed_at: Date
}

const own = (db: Knex, teacherId: string) => owned<Row>(db, teacherId, 'own_moves')

/** A teacher’s own moves with their figures. */
export const listOwnMoves = async (db: Knex, teacherId: string): Promise<OwnMove[]> =>
  (await own(db, teacherId).orderBy('changed_at', 'desc').orderBy('id')).flatMap((row: Row) => readRow(row.document))

/** A row is a file of one move, its version beside it; rows of the first release have none. */
function readRow(document: unknown): OwnMove[] {
  const { version = 1, ...own } = document as { version?: number } & OwnMove
  return readDocument(documentKinds.moves, { ...movesFile([own]), version }).moves
}

/**
 * Keeps moves, all or none.
 *
 * @returns false where there would be too many
 */
export const keepOwnMoves = (db: Knex, teacherId: string, moves: readonly OwnMove[]): Promise<boolean> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    for (const move of moves) {
      const { version } = movesFile([])
      const document = JSON.stringify({ version, ...move })
      await trx<Row>('own_moves')
        .insert({ teacher_id: teacherId, id: move.move.id, document })
        .onConflict(['teacher_id', 'id'])
        .merge({ document, changed_at: trx.fn.now() as unknown as Date })
    }
    const [count] = await own(trx, teacherId).count({ n: '*' })
    if (Number(count!.n) <= mostOwnMoves) return true
    await trx.rollback()
    return false
  })

/** False where it is not hers or not there. */
export const removeOwnMove = async (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  (await own(db, teacherId).where({ id }).delete()) > 0

/** When each move was last in a session that was sent home, since a moment. */
export async function usedMoves(db: Knex, teacherId: string, since: Date): Promise<UsedMove[]> {
  const without: { sha256: string }[] = await db('publications as p')
    .join('snapshots as s', 's.sha256', 'p.sha256')
    .modify(ownedBy(teacherId, 'publications', 'p'))
    .where({ 's.outline': null })
    .where('p.created_at', '>=', since)
    .distinct('s.sha256')
  await makeOutlines(
    db,
    without.map((row) => row.sha256),
  )
  const { rows } = await db.raw<{ rows: { move: string; last: Date }[] }>(
    `select m as move, max(p.created_at) as last
     from publications p join snapshots s on s.sha256 = p.sha256,
          jsonb_array_elements_text(s.outline->'moves') m
     where p.teacher_id = ? and p.created_at >= ?
     group by 1 order by 2 desc, 1`,
    [teacherId, since],
  )
  return rows.map((row) => ({ move: row.move, last: row.last.toISOString() }))
}
