import type { Knex } from 'knex'
import { documentKinds, mostOwnMoves, movesFile, readDocument, sameValue, type OwnMove } from '@esfuerzo/core'
import type { UsedMove } from '@esfuerzo/contract'
import { makeOutlines } from '../snapshots/outline.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'
import { owned, ownedBy } from '../rights/rights.ts'

interface Row {
  teacher_id: string
  id: string
  document: unknown
  revision: number
  changed_at: Date
}

const own = (db: Knex, teacherId: string) => owned(db, teacherId, 'own_moves')

/** A teacher’s own exercises with their figures, and how often each was saved. */
export async function listOwnMoves(
  db: Knex,
  teacherId: string,
): Promise<{ moves: OwnMove[]; revisions: Record<string, number> }> {
  const rows: Row[] = await own(db, teacherId).orderBy('changed_at', 'desc').orderBy('id')
  return {
    moves: rows.flatMap((row) => readRow(row.document)),
    revisions: Object.fromEntries(rows.map(({ id, revision }) => [id, revision])),
  }
}

/** A row is a file of one exercise with its version; rows of the first release have none. */
function readRow(document: unknown): OwnMove[] {
  const { version = 1, ...own } = document as { version?: number } & OwnMove
  return readDocument(documentKinds.moves, { ...movesFile([own]), version }).moves
}

/**
 * Saves exercises, all or none.
 *
 * @param over the revision each change started from; an existing exercise that is not named was unknown to the change
 * @returns why none was saved: there would be too many, or another page has saved one since
 */
export const keepOwnMoves = (
  db: Knex,
  teacherId: string,
  moves: readonly OwnMove[],
  over: ReadonlyMap<string, number>,
): Promise<'kept' | 'too-many' | 'conflict'> =>
  db.transaction(async (trx) => {
    await oneAtATime(trx, teacherId)
    const there: Row[] = await own(trx, teacherId).whereIn(
      'id',
      moves.map((move) => move.move.id),
    )
    const count = Number((await own(trx, teacherId).count({ n: '*' }))[0]!.n)
    if (count + moves.length - there.length > mostOwnMoves) return 'too-many'
    const changes: { id: string; document: string; stored: Row | undefined }[] = []
    for (const move of moves) {
      const { id } = move.move
      const { version } = movesFile([])
      const document = JSON.stringify({ version, ...move })
      const stored = there.find((row) => row.id === id)
      // A repeated request is stored once.
      if (stored && sameValue(stored.document, JSON.parse(document))) continue
      changes.push({ id, document, stored })
    }
    if (changes.some(({ id, stored }) => stored && stored.revision !== over.get(id))) return 'conflict'
    for (const { id, document, stored } of changes)
      if (stored)
        await own(trx, teacherId)
          .where({ id })
          .update({ document, revision: stored.revision + 1, changed_at: trx.fn.now() })
      else await trx('own_moves').insert({ teacher_id: teacherId, id, document })
    return 'kept'
  })

/** False if it is not hers or doesn't exist. */
export const removeOwnMove = async (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  (await own(db, teacherId).where({ id }).delete()) > 0

/** When each exercise was last sent home, since a moment. */
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
