/**
 * What `read` has of each id, in their order, a batch at a time; what was deleted meanwhile is left out.
 *
 * @param batch so many at a time (ours): ten documents may be five megabytes
 */
export async function* inBatches<Row extends { id: string }>(
  ids: readonly { id: string }[],
  read: (ids: string[]) => PromiseLike<Row[]>,
  batch = 10,
): AsyncGenerator<Row> {
  for (let from = 0; from < ids.length; from += batch) {
    const some = ids.slice(from, from + batch).map(({ id }) => id)
    const rows = new Map((await read(some)).map((row) => [row.id, row]))
    for (const id of some) if (rows.has(id)) yield rows.get(id)!
  }
}
