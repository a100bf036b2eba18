import type { Course } from './course.ts'
import { stepOver, type PlayerState } from './player.ts'
import type { CountedStep } from './schema.ts'

/** The longest time noted for a step: beyond it, somebody went away. */
const mostSeconds = 3600

/**
 * The self-counted work that a child left between two states of a run, with its duration: the source of its own pace. Skipped and restarted
 * steps measure nothing and are left out.
 *
 * @param lane whose @param tapped seconds since the step began, if the child said it was done; otherwise a cap ended it
 * @param seen whether the page was visible all the time @param spoken whether the device spoke or rang
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
