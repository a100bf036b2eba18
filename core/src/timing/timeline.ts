import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { ProblemError, type Problem } from '../base/problem.ts'
import type { Group } from '../terms/group.ts'
import type { Session } from '../session/schema.ts'
import { defaultPace } from './pace.ts'
import { limits } from '../base/limits.ts'
import { firstSteps, placedBlocks, timedBlock } from './lane.ts'
import type { Step } from './step.ts'

/**
 * A session as one group does it, second by second. Typical seconds leave no gap, do not overlap and add up to the total. A lane that is
 * too long ends one step past the limit: {@link laneProblems} reports it.
 *
 * @param library ours; the teacher's own exercises come with the session
 * @param pace seconds relative to grades 4–6; by default the group's grades decide
 * @throws {ProblemError} `unknown-group`, `unknown-move` or `unknown-version`
 */
export function timeline(session: Session, groupId: string, library: Library, pace?: number): Step[] {
  const group = session.groups.find((g) => g.id === groupId)
  if (!group) {
    throw new ProblemError([
      {
        code: 'unknown-group',
        path: ['groups'],
        received: groupId,
        expected: { oneOf: session.groups.map((g) => g.id) },
      },
    ])
  }
  const whole = libraryFor(session, library)
  const own = pace ?? defaultPace(group)
  const placed = placedBlocks(
    session,
    (section, block, carry) => timedBlock(section, block, group, whole, own, carry),
    firstSteps,
  )
  return placed.flatMap(({ start, timed }) => {
    // These objects are new and shared with nobody, so their times are shifted in place.
    for (const step of timed.steps) step.at += start
    return timed.steps
  })
}

/** Whether a lane has more steps than it may have: it cannot be sent home, and its real time is longer than shown. */
export const isTooLong = (steps: readonly Step[]): boolean => steps.length > limits.steps

/**
 * What prevents a lane from being sent home: too many steps, reported at the block where the limit is passed.
 *
 * @param steps of the group, from {@link timeline}
 * @example laneProblems(session, group, steps) // [{ code: 'too-many', path: ['sections', 1, 'blocks', 0], … }]
 */
export function laneProblems(session: Session, group: Group, steps: readonly Step[]): Problem[] {
  if (!isTooLong(steps)) return []
  const { section: sectionId, block: blockId } = steps.at(-1)!
  const section = session.sections.findIndex((s) => s.id === sectionId)
  const block = session.sections[section]!.blocks.findIndex((b) => b.id === blockId)
  return [
    {
      code: 'too-many',
      path: ['sections', section, 'blocks', block],
      expected: { atMost: limits.steps, of: 'steps', lane: group.name },
      received: { is: 'more' },
    },
  ]
}

/** {@link laneProblems} of every lane. @throws {ProblemError} `unknown-move` or `unknown-version` */
export const sessionProblems = (session: Session, library: Library): Problem[] =>
  session.groups.flatMap((group) => laneProblems(session, group, timeline(session, group.id, library)))
