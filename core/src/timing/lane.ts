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

/** A block as one group does it. */
export interface TimedBlock {
  section: string
  block: string
  /** Their `at` counts from the start of the block. */
  steps: readonly Step[]
  /** Typical seconds of the whole block. */
  seconds: number
  /** What it passes on to the next block. */
  leaves: Carry
}

/** A block's position in a lane. */
export interface Placed<T = TimedBlock> {
  /** Seconds from the start of the session. */
  start: number
  timed: T
}

/** One more than a lane may have, so that a caller who counts them sees that it is too long. */
const most = limits.steps + 1

/**
 * Times a block for a group that enters it in some state.
 *
 * @param section id of its section
 * @param library including the session's own exercises
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
 * A group's blocks end to end, each timed by `time`. A lane that is too long ends one step past the limit.
 *
 * @param cut a block of which only the first steps belong to the lane
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
 * The state in which a block of a session finds a group; for an unknown block, the state at the start.
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
