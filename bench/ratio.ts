/** The cost of two pieces of work, measured in turns in one run, so that a busy machine slows both. */
export interface Ratio {
  /** Median milliseconds of one call. */
  a: number
  b: number
  ratios: { low: number; median: number; high: number }
}

const at = (sorted: number[], share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!
const sorted = (list: number[]) => [...list].sort((x, y) => x - y)

/**
 * @param rounds pairs measured, after a fifth as many to warm up
 * @param calls calls of each work per round
 */
export function ratio(a: () => unknown, b: () => unknown, rounds = 200, calls = 5): Ratio {
  const time = (work: () => unknown) => {
    const start = performance.now()
    for (let i = 0; i < calls; i++) work()
    return (performance.now() - start) / calls
  }
  for (let i = 0; i < rounds / 5; i++) {
    time(a)
    time(b)
  }
  const pairs = Array.from({ length: rounds }, () => [time(a), time(b)] as const)
  const ratios = sorted(pairs.map(([x, y]) => x / y))
  return {
    a: at(sorted(pairs.map(([x]) => x)), 0.5),
    b: at(sorted(pairs.map(([, y]) => y)), 0.5),
    ratios: { low: at(ratios, 0.05), median: at(ratios, 0.5), high: at(ratios, 0.95) },
  }
}
