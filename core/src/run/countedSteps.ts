import type { Course } from './course.ts'
import { stepOver, type PlayerState } from './player.ts'
import type { CountedStep } from './schema.ts'

/** The longest time noted for a step: beyond it, somebody went away. */
const mostSeconds = 3600

/**
 * The work a child counts itself that was left between two states of a run, with how long it took: what its own pace is learnt
 * from. Skipped and started-again steps are no measure of anything and are left out.
 *
 * @param lane whose @param tapped seconds since the step began, where the child said it was done; else a cap ended it
 * @param seen whether the page was in sight all the while @param spoken whether the device spoke or rang
 * @example leftCounted(before, after, course, 0, { tapped: 14.2, seen: true, spoken: true })?.seconds // 14.2
 */
export function leftCounted(
  before: PlayerState,
  after: PlayerState,
  course: Course,
  lane: number,
  { tapped, seen, spoken }: { tapped?: number; seen: boolean; spoken: boolean },
): CountedStep | undefined {
  const from = before.lanes[lane]!
  const step = course.lanes[lane]!.steps[from.index]
  if (from.index >= after.lanes[lane]!.index || step?.kind !== 'work' || step.by !== 'count') return undefined
  const seconds = tapped ?? stepOver(course, lane, from).end - from.began
  return {
    step: from.index,
    seconds: Math.min(mostSeconds, Math.round(seconds * 10) / 10),
    by: tapped === undefined ? 'cap' : 'tap',
    seen,
    spoken,
  }
}
