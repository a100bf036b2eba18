/** Removals that are on their way: whoever lists the bin waits for them, so that what was just removed is in it. */
const underway = new Set<Promise<unknown>>()

/** Notes a removal until it is over, however it ends. */
export function removing<T>(work: Promise<T>): Promise<T> {
  underway.add(work)
  const over = () => underway.delete(work)
  work.then(over, over)
  return work
}

/** When every removal that has begun by now is over. */
export const removalsOver = (): Promise<unknown> => Promise.allSettled(underway)
