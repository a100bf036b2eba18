import { limits } from '../base/limits.ts'
import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import type { Block } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import type { Group } from '../terms/group.ts'
import { startCarry, type Carry } from './carry.ts'
import { timeBlock } from './formTimes.ts'
import { defaultPace } from './pace.ts'
import type { Step } from './step.ts'
import { LaneFull, StepBuilder } from './stepBuilder.ts'

/** A block as one group lives it. */
export interface TimedBlock {
  section: string
  block: string
  /** Their `at` counts from where the block begins. */
  steps: readonly Step[]
  /** Typical seconds of all of it. */
  seconds: number
  /** What it leaves to the next. */
  leaves: Carry
}

/** Where a block stands in a lane. */
export interface Placed<T = TimedBlock> {
  /** Seconds from the start of the session. */
  start: number
  timed: T
}

/** One more than a lane may have: whoever counts them sees that it is too long. */
const most = limits.steps + 1

/**
 * Times a block for a group that comes to it in some state.
 *
 * @param section id of the section it stands in
 * @param library with the session's own moves
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function timedBlock(
  section: string,
  block: Block,
  group: Group,
  library: Library,
  pace = defaultPace(group),
  carry = startCarry,
): TimedBlock {
  const steps = new StepBuilder(group, library, pace, carry, most)
  steps.enter(section, block.id)
  try {
    timeBlock(block, steps)
  } catch (error) {
    if (!(error instanceof LaneFull)) throw error
  }
  return { section, block: block.id, steps: steps.steps, seconds: steps.now, leaves: steps.carry }
}

/**
 * A group's blocks end to end, each as `time` finds it. A lane that is longer than it may be ends one step past that.
 *
 * @param cut a block of which only so many first steps belong to the lane
 */
export function placedBlocks<T extends TimedBlock>(
  session: Pick<Session, 'sections'>,
  time: (section: string, block: Block, carry: Carry) => T,
  cut: (timed: T, steps: number) => T,
): Placed<T>[] {
  const placed: Placed<T>[] = []
  let carry = startCarry
  let start = 0
  let left = most
  for (const section of session.sections)
    for (const block of section.blocks) {
      const whole = time(section.id, block, carry)
      const timed = whole.steps.length > left ? cut(whole, left) : whole
      if (timed.steps.length > 0) placed.push({ start, timed })
      left -= timed.steps.length
      if (left === 0) return placed
      start += timed.seconds
      carry = timed.leaves
    }
  return placed
}

/** The first steps of a block. */
export function firstSteps<T extends TimedBlock>(timed: T, n: number): T {
  const steps = timed.steps.slice(0, n)
  return { ...timed, steps, seconds: steps.reduce((sum, step) => sum + step.seconds.typical, 0) }
}

/**
 * How a block of a session finds a group; one that is nowhere in it, as the beginning does.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function carryInto(
  block: Pick<Block, 'id'>,
  group: Group,
  session: Session,
  ours: Library,
  pace = defaultPace(group),
): Carry {
  const library = libraryFor(session, ours)
  let carry = startCarry
  for (const section of session.sections)
    for (const before of section.blocks) {
      if (before.id === block.id) return carry
      carry = timedBlock(section.id, before, group, library, pace, carry).leaves
    }
  return startCarry
}
