import type { Knex } from 'knex'

/** Rows deleted in one statement (ours): a run takes up to some hundred results with it. */
const atOnce = { runs: 250, results: 4000, others: 5000 }

/**
 * Deletes rows in small batches, each in a transaction of its own: nobody waits for many rows, and completed batches stay deleted if it
 * breaks off.
 *
 * @param which restricts `db(table)` to the rows to delete
 * @returns how many were deleted
 */
export async function dropRows(db: Knex, table: string, which: (query: Knex.QueryBuilder) => void): Promise<number> {
  const size = table === 'runs' ? atOnce.runs : table === 'results' ? atOnce.results : atOnce.others
  for (let gone = 0; ;) {
    const few = db(table)
      .modify(which)
      .select(db.raw('??.ctid', [table]))
      .limit(size)
    const { rowCount } = await db.raw<{ rowCount: number }>('delete from ?? where ctid = any(array(?))', [table, few])
    gone += rowCount
    if (rowCount < size) return gone
  }
}

/**
 * Deletes all results that belong to some pupils or links: runs with their results, then typed values.
 *
 * @param whose rows of `pupils` or `publications`, by their ids
 */
export async function dropDone(
  db: Knex,
  whose: { pupils: Knex.QueryBuilder } | { publications: Knex.QueryBuilder },
): Promise<void> {
  const [key, ids] = 'pupils' in whose ? ['pupil_id', whose.pupils] : ['publication_id', whose.publications]
  for (const table of ['runs', 'results'])
    await dropRows(db, table, (query) => void query.whereIn(`${table}.${key}`, ids.clone().select('id')))
}
