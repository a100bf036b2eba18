import { orderBound } from './orderBound.ts'
import { exactRound } from './exactRound.ts'
import { improveOrder } from './improveOrder.ts'
import { orderCost, type OrderProblem } from './orderProblem.ts'
import { fillTable, far } from './subsetTable.ts'

export interface OrderSolution {
  /** Stations by place. */
  order: number[]
  cost: number
  /** No order costs less than this. */
  bound: number
}

/** Up to this many stations, the best order is proven. */
export const exactTo = 16

/**
 * The order with the least cost; among equals the nearest to the current one. Exact up to 16 stations, by dynamic programming over subsets
 * (Held & Karp 1962, J SIAM 10:196); above that by local search, with a proven lower bound.
 *
 * @example orderStations of three in a row, costs 0–1: 9, 0–2: 1, 1–2: 1 // order [0, 2, 1], cost 2
 */
export function orderStations(problem: OrderProblem): OrderSolution {
  const n = problem.before.length
  if (n <= 1) return { order: [...problem.before.keys()], cost: problem.before[0] ?? 0, bound: problem.before[0] ?? 0 }
  if (n > exactTo) {
    const order = improveOrder(problem)
    const cost = orderCost(problem, order)
    return { order, cost, bound: Math.min(cost, orderBound(problem)) }
  }
  const order = problem.cycle && !problem.pinned.some(Boolean) ? exactRound(problem) : exactOrder(problem)
  const cost = orderCost(problem, order)
  return { order, cost, bound: cost }
}

/**
 * Tables over subsets, with the distance as a fraction of the cost. On a round trip each station is fixed as the first in turn, because the
 * last must return to it.
 */
function exactOrder({ costs, before, cycle, pinned }: OrderProblem): number[] {
  const n = before.length
  const all = [...before.keys()]
  // The distance is at most n²/2, so a whole step of cost always outweighs it.
  const scale = n * n
  const mayStand = (station: number, place: number) => (pinned[station] || pinned[place] ? station === place : true)
  const start = (station: number) => before[station]! * scale + station
  const weight = (a: number, b: number) => costs[a]![b]! * scale

  let best = far
  let order: number[] = []
  // Without a way back, one table has every station first; with it, one table for each first station.
  for (const first of cycle ? all.filter((station) => mayStand(station, 0)) : [undefined]) {
    const rest = all.filter((station) => station !== first)
    const offset = n - rest.length
    const price = rest.map((station) =>
      Int32Array.from({ length: rest.length }, (_, k) =>
        mayStand(station, k + offset) ? Math.abs(station - k - offset) : far,
      ),
    )
    const near = rest.map((a) => Int32Array.from(rest, (b) => weight(a, b)))
    const begin = rest.map((station, i) => {
      if (price[i]![0] === far) return far
      return first === undefined ? start(station) : start(first) + weight(first, station) + price[i]![0]!
    })
    const table = fillTable(near, begin, price)
    const full = (1 << rest.length) - 1
    let end = -1
    for (const [i, station] of rest.entries()) {
      const cost = table[full * rest.length + i]! + (first === undefined ? 0 : weight(station, first))
      if (cost >= best) continue
      best = cost
      end = i
    }
    if (end >= 0)
      order = [...(first === undefined ? [] : [first]), ...walkBack(table, near, price, end).map((i) => rest[i]!)]
  }
  return order
}

/** The best path through a table, first to last. */
function walkBack(table: Int32Array, near: readonly Int32Array[], price: readonly Int32Array[], end: number): number[] {
  const m = near.length
  const way: number[] = []
  let subset = (1 << m) - 1
  for (let [j, k] = [end, m - 1]; ; k--) {
    way.unshift(j)
    const without = subset ^ (1 << j)
    if (without === 0) return way
    const wanted = table[subset * m + j]! - price[j]![k]!
    let i = 0
    while (table[without * m + i]! + near[j]![i]! !== wanted) i++
    ;[subset, j] = [without, i]
  }
}
