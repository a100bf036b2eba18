import type { Knex } from 'knex'

/**
 * Deletes snapshots that no link leads to any more.
 *
 * @param shas of the candidates; all by default
 * @returns how many were deleted
 */
export async function dropOrphans(db: Knex, shas?: readonly string[]): Promise<number> {
  const query = db('snapshots').whereNotExists(db('publications').whereRaw('publications.sha256 = snapshots.sha256'))
  if (shas) query.whereIn('sha256', shas)
  try {
    return await query.delete()
  } catch (error) {
    // One of them is being sent at this very moment: it stays, and the others go with the next cleanup.
    if ((error as { code?: string }).code === '23503') return 0
    throw error
  }
}
