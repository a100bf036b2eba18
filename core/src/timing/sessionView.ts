import { limits } from '../base/limits.ts'
import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import type { Block } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import type { Group } from '../terms/group.ts'
import { isSameCarry, type Carry } from './carry.ts'
import { firstSteps, placedBlocks, timedBlock, type Placed, type TimedBlock } from './lane.ts'
import { defaultPace } from './pace.ts'
import type { Step } from './step.ts'
import { blockTotals, sumOfBlocks, type SessionTotals, type Totals } from './totals.ts'

/** A block of a lane with its totals. */
export interface BlockView extends TimedBlock {
  totals: Totals
}

/** A session as one group does it: its blocks end to end. */
export interface LaneView {
  group: Group
  blocks: readonly Placed<BlockView>[]
  totals: SessionTotals
  /** True if there are more steps than a lane may have: these are the first. */
  tooLong: boolean
}

/**
 * Every group's lane. A block is not timed again if it is the same object as before, the group enters it in the same state, and the library
 * is the same: after an edit only the affected blocks are.
 *
 * @param ours the library; the teacher's own exercises come with the session
 * @param before a cache of timed blocks, which is extended; by default, one shared by all sessions
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function sessionView(session: Session, ours: Library, before: TimedBefore = timedBefore): LaneView[] {
  const library = libraryFor(session, ours)
  return session.groups.map((group) => {
    const pace = defaultPace(group)
    const view = (timed: TimedBlock): BlockView => ({ ...timed, totals: blockTotals(timed.steps, library, pace) })
    const blocks = placedBlocks(
      session,
      (section, block, carry) =>
        known(before, block, { library, group, section, carry }, () =>
          view(timedBlock(section, block, group, library, pace, carry)),
        ),
      (timed, n) => view(firstSteps(timed, n)),
    )
    const sums = blocks.map(({ timed }) => timed)
    return {
      group,
      blocks,
      totals: sumOfBlocks(sums),
      tooLong: sums.reduce((n, { steps }) => n + steps.length, 0) > limits.steps,
    }
  })
}

/**
 * The current step of a lane at a moment, and its start; a step ends where the next begins.
 *
 * @param seconds from the start of the session
 * @returns undefined before the start and from the end on
 */
export function stepAt({ blocks }: Pick<LaneView, 'blocks'>, seconds: number): { step: Step; at: number } | undefined {
  const block = blocks.find(({ start, timed }) => seconds >= start && seconds < start + timed.seconds)
  const step = block?.timed.steps.find(
    ({ at, seconds: { typical } }) => seconds - block.start >= at && seconds - block.start < at + typical,
  )
  return block && step && { step, at: block.start + step.at }
}

/** A timed block, with everything its timing depends on. */
interface Known {
  library: Library
  group: Group
  section: string
  carry: Carry
  view: BlockView
}

/** Timed blocks, garbage-collected with their documents. */
export type TimedBefore = WeakMap<Block, Known[]>
const timedBefore: TimedBefore = new WeakMap<Block, Known[]>()
/** The ways into a block change while others are edited: only the latest are kept. */
const mostKnown = 48

function known(before: TimedBefore, block: Block, made: Omit<Known, 'view'>, make: () => BlockView): BlockView {
  let all = before.get(block)
  if (!all) before.set(block, (all = []))
  for (const one of all)
    if (
      one.group === made.group &&
      one.library === made.library &&
      one.section === made.section &&
      isSameCarry(one.carry, made.carry)
    )
      return one.view
  const view = make()
  if (all.length >= mostKnown) all.shift()
  all.push({ ...made, view })
  return view
}
