import type { FitBlock, FitLane, FitProblem, FitSolution, Passage } from './fitProblem.ts'
import { slidingMin } from './slidingMin.ts'

const never = 1 << 29

/** The least own cost of reaching each second in one state; `lo` to `hi` are the possible seconds. */
interface Cells {
  cost: Int32Array
  lo: number
  hi: number
}
/** By state. */
type Table = Cells[]

const newTable = (states: number, seconds: number): Table =>
  Array.from({ length: states }, () => ({ cost: new Int32Array(seconds + 1).fill(never), lo: 1, hi: 0 }))

function clear(table: Table): void {
  for (const cells of table) {
    if (cells.lo <= cells.hi) cells.cost.fill(never, cells.lo, cells.hi + 1)
    cells.lo = 1
    cells.hi = 0
  }
}

/** Writes into `to` the seconds a transition reaches from `from`, at a cost; costs of `limit` or more are left out. */
function pass(to: Table, from: Table, passage: Passage, cost: number, limit: number): void {
  for (let e = 0; e < from.length; e++) {
    const source = from[e]!
    const way = passage[e]
    if (!way || source.lo > source.hi) continue
    const target = to[way.exit]!
    const { seconds } = way
    const last = Math.min(source.hi, target.cost.length - 1 - seconds)
    for (let t = source.lo; t <= last; t++) {
      const c = source.cost[t]! + cost
      if (c >= limit || c >= target.cost[t + seconds]!) continue
      target.cost[t + seconds] = c
      if (target.lo > target.hi) target.lo = target.hi = t + seconds
      else if (t + seconds < target.lo) target.lo = t + seconds
      else if (t + seconds > target.hi) target.hi = t + seconds
    }
  }
}

function merge(to: Table, from: Table): void {
  for (let e = 0; e < from.length; e++) {
    const { cost, lo, hi } = from[e]!
    const target = to[e]!
    for (let t = lo; t <= hi; t++) {
      if (cost[t]! >= target.cost[t]!) continue
      target.cost[t] = cost[t]!
      if (target.lo > target.hi) target.lo = target.hi = t
      else if (t < target.lo) target.lo = t
      else if (t > target.hi) target.hi = t
    }
  }
}

/**
 * A lower bound on what a lane still costs from a block on, by state and second: as if it could choose the shared settings for itself at a
 * share of their cost and only had to end between `least` and `most`.
 */
type ToGo = Float64Array[]

function laneToGo(problem: FitProblem, lane: number, share: number): ToGo[] {
  const { blocks, states, least, most } = problem
  const quickest = blocks.map((block) => quickestPassage(block, block.lanes[lane]!))
  // No second before the quickest way here, nor after which the quickest way on is too long, is ever needed.
  let earliest = quickest.reduce((sum, n) => sum + n, 0)
  let onward = 0
  const end = () => new Float64Array(most + 1).fill(Infinity, 0, Math.min(most + 1, least))
  const toGo: ToGo[] = [Array.from({ length: states }, end)]
  for (let k = blocks.length - 1; k >= 0; k--) {
    const block = blocks[k]!
    const after = toGo[0]!
    earliest -= quickest[k]!
    onward += quickest[k]!
    const now = Array.from({ length: states }, () => new Float64Array(most + 1).fill(Infinity))
    for (const { passage, cost } of laneChoices(block, block.lanes[lane]!, share)) {
      for (let e = 0; e < states; e++) {
        const way = passage[e]
        if (!way) continue
        const target = now[e]!
        const source = after[way.exit]!
        const last = Math.min(most - way.seconds, most - onward)
        for (let t = earliest; t <= last; t++) {
          const c = cost + source[t + way.seconds]!
          if (c < target[t]!) target[t] = c
        }
      }
    }
    toGo.unshift(now)
  }
  return toGo
}

/** The fewest seconds a lane needs for a block, from any state. */
function quickestPassage(block: FitBlock, lane: FitLane): number {
  let least = Infinity
  for (const { passage } of laneChoices(block, lane, 0))
    for (const way of passage) if (way && way.seconds < least) least = way.seconds
  return least === Infinity ? 0 : least
}

function* laneChoices(block: FitBlock, lane: FitLane, share: number): Generator<{ passage: Passage; cost: number }> {
  const cheapest: number[] = []
  for (const [o, { cost, variant }] of block.shared.entries()) {
    const shared = cost * share
    cheapest[variant] = Math.min(cheapest[variant] ?? Infinity, shared)
    if (lane.follow[o]) yield { passage: lane.follow[o], cost: shared + lane.spared[o]! }
  }
  for (const [variant, shared] of cheapest.entries())
    for (const own of lane.own[variant] ?? []) yield { passage: own.passage, cost: own.cost + shared }
}

/** The lowest final cost of a lane's table. */
function ahead(table: Table, toGo: ToGo): number {
  let least = Infinity
  for (let e = 0; e < table.length; e++) {
    const { cost, lo, hi } = table[e]!
    const more = toGo[e]!
    for (let t = lo; t <= hi; t++) {
      const c = cost[t]! + more[t]!
      if (c < least) least = c
    }
  }
  return least
}

export interface SolveOptions {
  /** Only solutions that cost less count. */
  below?: number
  /** Branches explored before the search is cut short. */
  branches?: number
  /** Share of the search done, 0 to 1. */
  onProgress?: (share: number) => void
}

/**
 * The exact least cost of a fit: branch and bound over the shared settings, block by block. Each branch has a table per lane of the least
 * own cost by second and state; at the end a window slides over the seconds. Branches are cut by a lower bound: the lanes' cost if each
 * could choose the shared settings for itself.
 *
 * @returns undefined if nothing fits (or nothing below a given cost)
 * @example one block of 100 s that may be 80 s for 4, most 90: cost 4, seconds [80]
 */
// oxlint-disable-next-line max-lines-per-function -- a branch and bound is one search over state that all its steps share
export function solveFit(problem: FitProblem, options: SolveOptions = {}): FitSolution | undefined {
  const { blocks, lanes, states, most, least, together } = problem
  const laneIds = Array.from({ length: lanes }, (_, g) => g)
  let { branches = 400_000 } = options
  let best = options.below ?? never
  /** 1 while an option of the same cost as the best may still replace it. */
  let tie = 0
  let found: Found | undefined

  // Three ways to charge the shared settings: all to one lane, in equal parts, to none.
  const [whole, parts, free] = [1, 1 / lanes, 0].map((share) => laneIds.map((g) => laneToGo(problem, g, share)))
  const tablesOf = () => laneIds.map(() => newTable(states, most))
  const tables = Array.from({ length: blocks.length + 1 }, tablesOf)
  const ownTables = blocks.map((block) => {
    const variants = Math.max(...block.shared.map((s) => s.variant)) + 1
    return Array.from({ length: variants }, tablesOf)
  })
  /** The shared settings of each block, cheapest first. */
  const orders = blocks.map(({ shared: all }) => [...all.keys()].sort((a, b) => all[a]!.cost - all[b]!.cost))
  for (const table of tables[0]!) {
    const cells = table[0]!
    cells.cost[0] = 0
    cells.lo = cells.hi = 0
  }

  const shared: number[] = []
  function leaf(cost: number): void {
    const ends = tables[blocks.length]!
    const [first, last] = bounds(ends)
    if (first > last) return
    const sum = leastWithin(ends, cost, together ?? most, first, last)
    if (sum >= best + tie) return
    // Among ways of equal cost: the lanes that end closest together, then the fullest, then the fewest changes.
    let [narrow, wide] = [0, together ?? most]
    while (narrow < wide) {
      const middle = (narrow + wide) >> 1
      if (leastWithin(ends, cost, middle, first, last) === sum) wide = middle
      else narrow = middle + 1
    }
    leastWithin(ends, cost, narrow, first, last)
    const from = sums.lastIndexOf(sum, last)
    const way = { cost: sum, shared: [...shared], from, to: Math.min(most, from + narrow) }
    if (found && sum === best && !isBetter(problem, way, found)) return
    best = sum
    found = way
  }

  const sums = new Int32Array(most + 1)
  /** The first and the last second at which a window containing every lane's end may start. */
  function bounds(ends: readonly Table[]): [number, number] {
    let [first, last] = [least, most]
    for (const table of ends) {
      const cells = table.filter((c) => c.lo <= c.hi)
      first = Math.max(first, Math.min(...cells.map((c) => Math.max(c.lo, least))) - (together ?? most))
      last = Math.min(last, Math.max(...cells.map((c) => c.hi)))
    }
    return [first, last]
  }
  /** The lowest cost with all ends in a window of some width; `sums` is the cost by the window's first second. */
  function leastWithin(ends: readonly Table[], cost: number, width: number, first: number, last: number): number {
    sums.fill(never)
    sums.fill(cost, first, last + 1)
    for (const table of ends) addReach(sums, table, first, last, width)
    let sum: number = never
    for (let at = first; at <= last; at++) if (sums[at]! < sum) sum = sums[at]!
    return sum
  }

  function branch(k: number, cost: number): void {
    if (k === blocks.length) {
      leaf(cost)
      return
    }
    const block = blocks[k]!
    // A lane's own settings do not depend on the shared one, only on which stations are left out.
    const made = new Set<number>()
    const order = orders[k]!
    for (const [i, o] of order.entries()) {
      const setting = block.shared[o]!
      if (cost + setting.cost >= best + tie || branches-- <= 0) break
      const own = ownTables[k]![setting.variant]!
      if (!made.has(setting.variant)) {
        made.add(setting.variant)
        for (const g of laneIds) {
          clear(own[g]!)
          for (const { cost: c, passage } of block.lanes[g]!.own[setting.variant] ?? [])
            pass(own[g]!, tables[k]![g]!, passage, c, best + tie - cost)
        }
      }
      shared[k] = o
      const sofar = cost + setting.cost
      // Lane by lane, as long as their lowest remaining cost keeps it worthwhile.
      let [split, all, extra] = [0, 0, 0]
      const promising = laneIds.every((g) => {
        const next = tables[k + 1]![g]!
        clear(next)
        const { follow, spared } = block.lanes[g]!
        if (follow[o]) pass(next, tables[k]![g]!, follow[o], spared[o]!, best + tie - cost)
        merge(next, own[g]!)
        const one = ahead(next, whole![g]![k + 1]!)
        if (lanes === 1) return sofar + one < best + tie
        const none = one === Infinity ? one : ahead(next, free![g]![k + 1]!)
        all += none
        extra = Math.max(extra, one - none)
        if (sofar + Math.ceil(all + extra - 1e-9) >= best + tie) return false
        split += ahead(next, parts![g]![k + 1]!)
        return sofar + Math.ceil(split - 1e-9) < best + tie
      })
      if (promising) branch(k + 1, sofar)
      if (k === 0) options.onProgress?.((i + 1) / order.length)
    }
  }
  branch(0, 0)
  const proven = branches > 0
  if (found) {
    tie = 1
    branches = tieBranches
    branch(0, 0)
  }
  return found && { ...trace(problem, found), cost: best, proven }
}

/** Branches to search for the best among options of equal cost. Ours. */
const tieBranches = 2000

/** A solution: the shared setting of each block, and the window in which every lane ends. */
interface Found {
  cost: number
  shared: number[]
  from: number
  to: number
}

/** Of two solutions with the same cost, whether the first is better. */
function isBetter(problem: FitProblem, a: Found, b: Found): boolean {
  const [widthA, widthB] = [a.to - a.from, b.to - b.from]
  if (widthA !== widthB) return widthA < widthB
  if (a.from !== b.from) return a.from > b.from
  const changes = (way: Found) => {
    const { shared, own } = trace(problem, way)
    const turned = shared.filter((o, k) => problem.blocks[k]!.shared[o]!.cost > 0).length
    return turned + own.flat().filter((o) => o !== undefined).length
  }
  return changes(a) < changes(b)
}

/** Adds to each second from `first` to `last` the lowest cost of a lane to end there or up to `width` later. */
function addReach(sums: Int32Array, table: Table, first: number, last: number, width: number): void {
  const ends = new Int32Array(last - first + width + 1).fill(never)
  for (const { cost, lo, hi } of table) {
    const to = Math.min(hi, last + width)
    for (let t = Math.max(lo, first); t <= to; t++) if (cost[t]! < ends[t - first]!) ends[t - first] = cost[t]!
  }
  const reach = slidingMin(ends, width)
  for (let at = first; at <= last; at++) sums[at] = Math.min(never, sums[at]! + reach[at - first]!)
}

/** Recovers the lanes' own settings once the shared ones and the window are known. */
function trace(
  problem: FitProblem,
  { shared, from, to }: Pick<Found, 'shared' | 'from' | 'to'>,
): Pick<FitSolution, 'shared' | 'own' | 'seconds'> {
  const { blocks, lanes, states, most } = problem
  const own: (number | undefined)[][] = blocks.map(() => [])
  const seconds: number[] = []
  for (let g = 0; g < lanes; g++) {
    const tables = [newTable(states, most)]
    Object.assign(tables[0]![0]!, { lo: 0, hi: 0 }).cost[0] = 0
    const choices = blocks.map((block, k) => {
      const lane = block.lanes[g]!
      const follow = lane.follow[shared[k]!]
      const variant = block.shared[shared[k]!]!.variant
      return [
        ...(follow ? [{ index: undefined, cost: lane.spared[shared[k]!]!, passage: follow }] : []),
        ...(lane.own[variant] ?? []).map((o, index) => ({ index, ...o })),
      ]
    })
    for (const list of choices) {
      const next = newTable(states, most)
      for (const { cost, passage } of list) pass(next, tables.at(-1)!, passage, cost, never)
      tables.push(next)
    }
    // Among equals, the end nearest to the session's limit.
    let at = { t: from, e: 0, cost: never }
    for (const [e, cells] of tables.at(-1)!.entries())
      for (let t = from; t <= to; t++) if (cells.cost[t]! <= at.cost) at = { t, e, cost: cells.cost[t]! }
    seconds[g] = at.t
    for (let k = blocks.length - 1; k >= 0; k--) {
      const step = choices[k]!.flatMap(({ index, cost, passage }) =>
        passage.flatMap((way, e) => {
          if (!way || way.exit !== at.e || way.seconds > at.t) return []
          const t = at.t - way.seconds
          return tables[k]![e]!.cost[t]! + cost === at.cost ? [{ index, t, e, cost: at.cost - cost }] : []
        }),
      )[0]!
      own[k]![g] = step.index
      at = step
    }
  }
  return { shared, own, seconds }
}
