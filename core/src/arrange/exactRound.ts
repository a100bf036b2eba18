import type { OrderProblem } from './orderProblem.ts'
import { far, fillTable } from './subsetTable.ts'

/**
 * The best round trip when nothing is pinned. A round trip may start anywhere, so one table from station 0 gives the least cost. Few round
 * trips have that cost; each is rotated to every start that follows well on what comes before, and the one nearest to the current order
 * wins.
 *
 * @returns stations by place
 */
export function exactRound({ costs, before }: OrderProblem): number[] {
  const n = before.length
  const m = n - 1
  const full = (1 << m) - 1
  // The table starts at station 0; station i + 1 is its i.
  const near = Array.from({ length: m }, (_, a) => Int32Array.from({ length: m }, (_, b) => costs[a + 1]![b + 1]!))
  const begin = near.map((_, i) => costs[0]![i + 1]!)
  const table = fillTable(near, begin)
  const at = (subset: number, j: number) => table[subset * m + j]!
  let best = far
  for (let j = 0; j < m; j++) best = Math.min(best, at(full, j) + begin[j]!)

  const ways = bestWays(near, best, at)
  const first = Math.min(...before)
  const mayBegin = (station: number) => before[station] === first

  // By state and by the place of station 0: the least distance of reaching it.
  const { count, last, size, edges, before: froms } = ways
  const distances = new Int32Array(count * n).fill(far)
  for (let s = 0; s < count; s++) {
    const here = s * n
    if (size[s] === 1) distances.fill(0, here, here + n)
    for (let e = edges[s]!; e < edges[s + 1]!; e++) {
      const there = froms[e]! * n
      for (let p = 0; p < n; p++) {
        const distance = distances[there + p]!
        if (distance < distances[here + p]!) distances[here + p] = distance
      }
    }
    const station = last[s]! + 1
    for (let p = 0; p < n; p++) {
      const place = (p + size[s]!) % n
      if (place === 0 && !mayBegin(station)) distances[here + p] = far
      else if (distances[here + p]! < far) distances[here + p]! += Math.abs(station - place)
    }
  }
  let nearest = { distance: far, place0: -1, state: -1 }
  for (let s = 0; s < count; s++) {
    if (size[s] !== m) continue
    for (let place0 = mayBegin(0) ? 0 : 1; place0 < n; place0++) {
      const distance = distances[s * n + place0]! + place0
      if (distance < nearest.distance) nearest = { distance, place0, state: s }
    }
  }
  const order = Array<number>(n).fill(0)
  const { place0 } = nearest
  for (let s = nearest.state; ;) {
    const place = (place0 + size[s]!) % n
    order[place] = last[s]! + 1
    if (size[s] === 1) return order
    const wanted = distances[s * n + place0]! - Math.abs(last[s]! + 1 - place)
    let e = edges[s]!
    while (distances[froms[e]! * n + place0] !== wanted) e++
    s = froms[e]!
  }
}

/** The states on a least-cost path, smaller subsets first, each with its possible predecessors. */
interface Ways {
  count: number
  /** By state: its last station, and how many stations it has visited. */
  last: Uint8Array
  size: Uint8Array
  /** By state: where its entries in `before` start; the last one's end with the list. */
  edges: Int32Array
  before: Int32Array
}

function bestWays(near: readonly Int32Array[], best: number, at: (subset: number, j: number) => number): Ways {
  const m = near.length
  const full = (1 << m) - 1
  const keys: number[][] = Array.from({ length: m + 1 }, () => [])
  for (let subset = 1; subset <= full; subset++) {
    for (let j = 0; j < m; j++) {
      // Costs are symmetric, so the remaining path is also a table entry: the path over all remaining stations.
      if (subset & (1 << j) && at(subset, j) + at((full ^ subset) | (1 << j), j) === best)
        keys[bits(subset)]!.push(subset * m + j)
    }
  }
  const states = Int32Array.from(keys.flat())
  const index = new Int32Array(2 ** m * m).fill(-1)
  states.forEach((key, s) => (index[key] = s))
  const edges = new Int32Array(states.length + 1)
  const before: number[] = []
  states.forEach((key, s) => {
    const j = key % m
    const without = Math.floor(key / m) ^ (1 << j)
    const cost = at(without | (1 << j), j)
    for (let i = 0; i < m; i++) {
      const b = without & (1 << i) ? index[without * m + i]! : -1
      if (b >= 0 && at(without, i) + near[j]![i]! === cost) before.push(b)
    }
    edges[s + 1] = before.length
  })
  return {
    count: states.length,
    last: Uint8Array.from(states, (key) => key % m),
    size: Uint8Array.from(keys.flatMap((list, size) => list.map(() => size))),
    edges,
    before: Int32Array.from(before),
  }
}

function bits(subset: number): number {
  let n = 0
  for (let left = subset; left; left &= left - 1) n++
  return n
}
