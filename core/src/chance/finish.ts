/** When the children of a group finish, from a simulation's seconds. */
export interface Finish {
  /** Seconds after which one child in ten, half of them, nine in ten and nineteen in twenty have finished. */
  early: number
  median: number
  late: number
  last: number
  /** Share of the children who finish within the session's minutes, 0 to 1. */
  inTime: number
  /** How many finish between `from + n × width` seconds and the next step. */
  bins: { from: number; width: number; shares: number[] }
}

const widths = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600]
/** About how many bars a small chart has room for. */
const mostBins = 30

/**
 * Summarizes a simulation.
 *
 * @param ends seconds in rising order
 * @param budget seconds available
 * @example finishOf(Float64Array.of(50, 60, 70, 80), 70).inTime // 0.75
 */
export function finishOf(ends: Float64Array, budget: number): Finish {
  const at = (share: number) => ends[Math.min(ends.length - 1, Math.floor(share * ends.length))] ?? 0
  const [first, last] = [ends[0] ?? 0, ends.at(-1) ?? 0]
  const width = widths.find((w) => (last - first) / w <= mostBins - 2) ?? widths.at(-1)!
  const from = Math.floor(first / width) * width
  const shares: number[] = Array(Math.floor((last - from) / width) + 1).fill(0)
  for (const end of ends) shares[Math.floor((end - from) / width)]! += 1 / ends.length
  return {
    early: at(0.1),
    median: at(0.5),
    late: at(0.9),
    last: at(0.95),
    inTime: ends.filter((end) => end <= budget).length / Math.max(1, ends.length),
    bins: { from, width, shares },
  }
}
