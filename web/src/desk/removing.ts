/** Removals in progress: the trash waits for them before it is listed. */
const underway = new Set<Promise<unknown>>()

/** Registers a removal until it is over, however it ends. */
export function removing<T>(work: Promise<T>): Promise<T> {
  underway.add(work)
  const over = () => underway.delete(work)
  work.then(over, over)
  return work
}

/** When every removal started by now is done. */
export const removalsOver = (): Promise<unknown> => Promise.allSettled(underway)
