import { seededRandom } from '../distribution/seededRandom.ts'
import { orderCost, orderDistance, type OrderProblem } from './orderProblem.ts'

/** Number of restarts from a shaken order. */
const restarts = 40

/**
 * Finds a good order of many stations: starting from the current order and from shuffled ones, it moves, swaps and reverses stations as
 * long as that helps. The same problem always gives the same order.
 */
export function improveOrder(problem: OrderProblem): number[] {
  const random = seededRandom(1)
  const free = [...problem.before.keys()].filter((place) => !problem.pinned[place])
  const worth = (order: readonly number[]) => orderCost(problem, order) * order.length ** 2 + orderDistance(order)
  let best = descend([...problem.before.keys()], free, worth)
  for (let n = 0; n < restarts; n++) {
    const shaken = [...best]
    for (let k = 0; k < 4 && free.length > 1; k++) {
      const [a, b] = [free[Math.floor(random() * free.length)]!, free[Math.floor(random() * free.length)]!]
      ;[shaken[a], shaken[b]] = [shaken[b]!, shaken[a]!]
    }
    const tried = descend(shaken, free, worth)
    if (worth(tried) < worth(best)) best = tried
  }
  return best
}

function descend(start: number[], free: readonly number[], worth: (order: readonly number[]) => number): number[] {
  let order = start
  let now = worth(order)
  for (let better = true; better;) {
    better = false
    for (let i = 0; i < free.length; i++) {
      for (let j = i + 1; j < free.length; j++) {
        for (const change of [moved, movedBack, swapped, turned]) {
          const next = change(order, free, i, j)
          const value = worth(next)
          if (value >= now) continue
          ;[order, now, better] = [next, value, true]
        }
      }
    }
  }
  return order
}

/** The stations at the free places from i to j, put back in another sequence. */
function resequenced(
  order: readonly number[],
  free: readonly number[],
  i: number,
  j: number,
  sequence: (stations: number[]) => number[],
): number[] {
  const next = [...order]
  const places = free.slice(i, j + 1)
  sequence(places.map((p) => order[p]!)).forEach((station, k) => (next[places[k]!] = station))
  return next
}
type Change = (order: readonly number[], free: readonly number[], i: number, j: number) => number[]
const moved: Change = (o, f, i, j) => resequenced(o, f, i, j, ([first, ...others]) => [...others, first!])
const movedBack: Change = (o, f, i, j) => resequenced(o, f, i, j, (s) => [s.at(-1)!, ...s.slice(0, -1)])
const swapped: Change = (o, f, i, j) => resequenced(o, f, i, j, (s) => [s.at(-1)!, ...s.slice(1, -1), s[0]!])
const turned: Change = (o, f, i, j) => resequenced(o, f, i, j, (s) => s.toReversed())
