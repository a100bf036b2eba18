import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { ProblemError } from '../base/problem.ts'
import { isDown } from '../timing/changeOver.ts'
import { sessionSeconds } from '../timing/sessionSeconds.ts'
import { reorderStations } from '../session/edits/stations.ts'
import { findBlock } from '../session/edits/locate.ts'
import { stationsOf, type Block } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import { valueFor } from '../terms/perGroup.ts'
import type { Session } from '../session/schema.ts'
import type { Station } from '../session/station.ts'
import { clashCost, clashOf, neighbourOf, type Clash, type Neighbour } from './neighbours.ts'
import { orderCost, type OrderProblem } from './orderProblem.ts'
import { orderStations } from './orderStations.ts'

/** The quality of an order, each figure for the group that does worst in it. */
export interface OrderFindings {
  /** How often a child gets down to the floor on the way through the stations. */
  trips: number
  /** How often a main muscle is worked twice in a row. */
  muscles: number
  families: number
  hardJumps: number
  thuds: number
  /** Things put down or picked up. */
  things: number
  /** Seconds of changing over, before the pace is applied. */
  seconds: number
}

export interface ArrangeAnswer {
  block: string
  /** Ids of the stations, first to last. */
  order: string[]
  /** Whether the order differs from the current one. */
  better: boolean
  cost: { before: number; after: number; bound: number }
  findings: { before: OrderFindings; after: OrderFindings }
  /** Seconds of the session by group. */
  seconds: { before: Record<string, number>; after: Record<string, number> }
}

/** Whether the teacher may choose the order of a block's stations, and nothing else depends on it. */
export const canArrange = (block: Block): boolean => traitsOf(block).freeOrder && stationsOf(block).length > 2

/** Whether any group returns to the first station for another lap. */
const comesRound = (block: Block, groupIds: readonly string[]): boolean =>
  groupIds.some((g) => traitsOf(block).comesRound(block, g))

/** A block's stations as each group does them. */
interface BlockOrder {
  stations: readonly Station[]
  lanes: { here: Neighbour[]; before: Neighbour | undefined }[]
  cycle: boolean
  muscle: string | undefined
}

function blockOrder(session: Session, blockId: string, ours: Library): BlockOrder {
  const library = libraryFor(session, ours)
  const block = findBlock(session, blockId)
  const stations = stationsOf(block)
  const flat = session.sections.flatMap((s) => s.blocks)
  const previous = stationsOf(flat[flat.indexOf(block) - 1] ?? flat[0]!).at(-1)
  return {
    stations,
    lanes: session.groups.map(({ id }) => ({
      here: stations.map((s) => neighbourOf(valueFor(s.cells, id), library)),
      before: previous && flat[0] !== block ? neighbourOf(valueFor(previous.cells, id), library) : undefined,
    })),
    cycle: comesRound(
      block,
      session.groups.map((g) => g.id),
    ),
    muscle: session.aim.muscle,
  }
}

/**
 * The quality of a block's current order.
 *
 * @throws {ProblemError} `not-found`, `unknown-move` or `unknown-version`
 */
export function orderFindings(session: Session, blockId: string, library: Library): OrderFindings {
  const block = blockOrder(session, blockId, library)
  return findingsOf(block, [...block.stations.keys()])
}

/**
 * The order of a block's stations in which neighbors suit each other best, for all groups at once; pinned stations keep their place.
 *
 * @throws {ProblemError} `not-found`, or `invalid` if the teacher cannot choose the order
 * @example arrange(session, 'b3', library).findings // before: 5 trips to the floor, after: 2
 */
export function arrange(session: Session, blockId: string, library: Library): ArrangeAnswer {
  const { form } = findBlock(session, blockId)
  if (!canArrange(findBlock(session, blockId))) {
    const expected = { rule: 'orderIsTheTeachers' } as const
    throw new ProblemError([{ code: 'invalid', path: [blockId], expected, received: form }])
  }
  const block = blockOrder(session, blockId, library)
  const { stations, lanes, cycle, muscle } = block
  const sum = (pair: (lane: BlockOrder['lanes'][number]) => [Neighbour | undefined, Neighbour]) =>
    lanes.reduce((total, lane) => {
      const [a, b] = pair(lane)
      return total + (a ? clashCost(clashOf(a, b, muscle)) : 0)
    }, 0)
  const problem: OrderProblem = {
    costs: stations.map((_, i) => stations.map((_, j) => sum(({ here }) => [here[i], here[j]!]))),
    before: stations.map((_, i) => sum(({ here, before }) => [before, here[i]!])),
    cycle,
    pinned: stations.map((s) => s.pinned === true),
  }
  const now = [...stations.keys()]
  const { order, cost, bound } = orderStations(problem)
  const ids = order.map((i) => stations[i]!.id)
  return {
    block: blockId,
    order: ids,
    better: order.some((station, at) => station !== at),
    cost: { before: orderCost(problem, now), after: cost, bound },
    findings: { before: findingsOf(block, now), after: findingsOf(block, order) },
    seconds: {
      before: sessionSeconds(session, library),
      after: sessionSeconds(reorderStations(session, blockId, ids), library),
    },
  }
}

/** For each finding, the group that does worst in it. */
function findingsOf({ lanes, cycle, muscle }: BlockOrder, order: readonly number[]): OrderFindings {
  const list = lanes.map(({ here, before }): OrderFindings => {
    const way = order.map((i) => here[i]!)
    if (before) way.unshift(before)
    // In a round, the first station of the block follows the last.
    if (cycle && order.length > 1) way.push(here[order[0]!]!)
    const clashes = way.slice(1).map((b, i) => clashOf(way[i]!, b, muscle))
    const count = (holds: (clash: Clash) => boolean) => clashes.filter(holds).length
    const total = (costOf: (clash: Clash) => number) => clashes.reduce((all, clash) => all + costOf(clash), 0)
    // From the last station if there are several laps; otherwise from what comes before, or standing.
    const lap = cycle ? way.slice(before ? 1 : 0) : way
    const down = lap.map((n) => isDown(n.stance.posture))
    const trips = down.filter(
      (is, place) => is && !(place === 0 ? cycle || before !== undefined : down[place - 1]),
    ).length
    return {
      trips,
      muscles: count((c) => c.muscles.length > 0),
      families: count((c) => c.family),
      hardJumps: count((c) => c.hardJumps),
      thuds: count((c) => c.thuds),
      things: total((c) => c.things),
      seconds: total((c) => c.seconds),
    }
  })
  const keys = Object.keys(list[0]!) as (keyof OrderFindings)[]
  return Object.fromEntries(keys.map((key) => [key, Math.max(...list.map((f) => f[key]))])) as unknown as OrderFindings
}
