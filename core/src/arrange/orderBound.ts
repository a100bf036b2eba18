import type { OrderProblem } from './orderProblem.ts'

/** Rounds of raising the prices of stations with too many neighbors. */
const rounds = 200

/**
 * A lower bound on the cost of any order, by 1-trees with prices on the stations (Held & Karp 1970, Oper Res 18:1138). Pins are ignored, so
 * the bound also holds for pinned orders. An open row is closed through an extra station that is next to any other at no cost.
 */
export function orderBound({ costs, before, cycle }: OrderProblem): number {
  const n = before.length
  const first = Math.min(...before)
  const size = cycle ? n : n + 1
  const cost = (a: number, b: number) => (a >= n || b >= n ? 0 : costs[a]![b]!)
  const prices = new Float64Array(size)
  let best = -Infinity
  let step = Math.max(1, ...costs.flat()) / 2
  for (let round = 0; round < rounds; round++) {
    const { length, degrees } = oneTree(size, (a, b) => cost(a, b) + prices[a]! + prices[b]!)
    best = Math.max(best, length - 2 * prices.reduce((sum, p) => sum + p, 0))
    if (degrees.every((d) => d === 2)) break
    for (let i = 0; i < size; i++) prices[i]! += step * (degrees[i]! - 2)
    step *= 0.97
  }
  return first + Math.max(0, Math.ceil(best - 1e-6))
}

/** The shortest tree over all points except the last, plus the last one's two nearest. */
function oneTree(size: number, cost: (a: number, b: number) => number): { length: number; degrees: number[] } {
  const degrees: number[] = Array(size).fill(0)
  const last = size - 1
  const nearest = Array.from({ length: last }, (_, i) => ({ to: 0, cost: i === 0 ? 0 : cost(0, i) }))
  const inside = new Set([0])
  let length = 0
  while (inside.size < last) {
    let next = -1
    for (let i = 1; i < last; i++) {
      if (!inside.has(i) && (next < 0 || nearest[i]!.cost < nearest[next]!.cost)) next = i
    }
    inside.add(next)
    length += nearest[next]!.cost
    degrees[next]!++
    degrees[nearest[next]!.to]!++
    for (let i = 1; i < last; i++) {
      if (!inside.has(i) && cost(next, i) < nearest[i]!.cost) nearest[i] = { to: next, cost: cost(next, i) }
    }
  }
  const ends = Array.from({ length: last }, (_, i) => ({ i, cost: cost(last, i) })).sort((a, b) => a.cost - b.cost)
  for (const { i, cost: c } of ends.slice(0, 2)) {
    length += c
    degrees[i]!++
    degrees[last]!++
  }
  return { length, degrees }
}
