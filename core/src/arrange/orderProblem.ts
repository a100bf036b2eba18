/** Stations to arrange: the cost of two neighbors. Whole numbers. */
export interface OrderProblem {
  /** Symmetric; the diagonal is not used. */
  costs: readonly (readonly number[])[]
  /** The cost of a station in first place: next to what comes before the block. */
  before: readonly number[]
  /** Whether the last is followed by the first again: several laps. */
  cycle: boolean
  /** Stations that hold their place. */
  pinned: readonly boolean[]
}

/**
 * What an order costs.
 *
 * @example orderCost({ costs: [[0, 3], [3, 0]], before: [1, 0], cycle: false, pinned: [] }, [0, 1]) // 4
 */
export function orderCost({ costs, before, cycle }: OrderProblem, order: readonly number[]): number {
  if (order.length === 0) return 0
  let sum = before[order[0]!]!
  for (let p = 1; p < order.length; p++) sum += costs[order[p - 1]!]![order[p]!]!
  // Two stations are neighbors across a lap's end.
  if (cycle && order.length > 1) sum += costs[order.at(-1)!]![order[0]!]!
  return sum
}

/** How far an order is from the current one: the number of places each station has moved, summed. */
export const orderDistance = (order: readonly number[]): number =>
  order.reduce((sum, station, place) => sum + Math.abs(station - place), 0)
