import type { Course } from './course.ts'
import { stepLimit, type PlayerState } from './player.ts'
import type { CountedStep } from './schema.ts'

/**
 * The work a child counts itself that was left between two states of a run, each with how long it took: what its own pace is
 * learnt from. Skipped and started-again steps are no measure of anything and are left out.
 *
 * @param lane whose @param tapped seconds since the step began, where the child said it was done; else its time ran out
 * @param seen whether the page was in sight all the while @param spoken whether the device spoke or rang
 * @example leftCounted(before, after, course, 0, { tapped: 14.2, seen: true, spoken: true })[0]?.seconds // 14.2
 */
export function leftCounted(
  before: PlayerState,
  after: PlayerState,
  course: Course,
  lane: number,
  how: { tapped?: number; seen: boolean; spoken: boolean },
): CountedStep[] {
  const { steps } = course.lanes[lane]!
  const from = before.lanes[lane]!
  const left: CountedStep[] = []
  for (let step = from.index; step < after.lanes[lane]!.index; step++) {
    const of = steps[step]!
    if (of.kind !== 'work' || of.by !== 'count') continue
    const seconds = how.tapped ?? stepLimit(of, from.more[step])
    left.push({
      step,
      seconds: Math.round(seconds * 10) / 10,
      by: how.tapped === undefined ? 'clock' : 'tap',
      seen: how.seen,
      spoken: how.spoken,
    })
  }
  return left
}
