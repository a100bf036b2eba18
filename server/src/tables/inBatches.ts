import { setImmediate } from 'node:timers/promises'

/** Bytes read at once (ours): ten documents may have five megabytes. */
const most = { rows: 10, bytes: 16 * 1024 }

/** Compressed bytes of a row as stored: rows of unequal size are read in batches of equal size. */
export const storedSize = (column: string): string => `pg_column_size(${column}) as size`

/**
 * The results of `read` for each id, in order, one batch at a time; rows deleted meanwhile are left out.
 *
 * @param ids with their {@link storedSize} if they may be large
 * @param rows per batch
 */
export async function* inBatches<Row extends { id: string }>(
  ids: readonly { id: string; size?: number }[],
  read: (ids: string[]) => PromiseLike<Row[]>,
  rows: number = most.rows,
): AsyncGenerator<Row> {
  for (let from = 0; from < ids.length;) {
    let to = from
    for (let bytes = 0; to < ids.length && to - from < rows && (to === from || bytes < most.bytes); to++)
      bytes += ids[to]!.size ?? 0
    const some = ids.slice(from, to).map(({ id }) => id)
    const found = new Map((await read(some)).map((row) => [row.id, row]))
    for (const id of some) {
      if (found.has(id)) yield found.get(id)!
      // Processing one may take long: other work runs in between.
      await setImmediate()
    }
    from = to
  }
}
