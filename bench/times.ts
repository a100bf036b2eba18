/**
 * How long some pieces of work took, one after the other.
 *
 * @param work called with 0, 1, 2 … ; the first calls warm up and are not counted
 * @returns milliseconds: the median, the 95th percentile
 */
export function times(count: number, work: (n: number) => unknown, warm = 2): { median: number; slow: number } {
  const list: number[] = []
  for (let n = -warm; n < count; n++) {
    const start = performance.now()
    work(Math.max(0, n))
    if (n >= 0) list.push(performance.now() - start)
  }
  list.sort((a, b) => a - b)
  const at = (share: number) => list[Math.min(list.length - 1, Math.floor(list.length * share))]!
  return { median: at(0.5), slow: at(0.95) }
}
