import { setUpOf } from '@esfuerzo/core'
import { measuredIn, type Lane, type Publication } from '@esfuerzo/core/publication'
import type { Result } from '@esfuerzo/core/run'
import type { DemoPupil } from './classes.ts'

/** A test's usual value for a grade, and how far two tries differ. */
const usual: Record<string, (grade: number) => { value: number; variation: number }> = {
  sitToStands30: (grade) => ({ value: 13 + grade, variation: 1 }),
  lineJumps15: (grade) => ({ value: 16 + 2 * grade, variation: 1.2 }),
  longJump: (grade) => ({ value: 95 + 10 * grade, variation: 4 }),
  sitAndReach: () => ({ value: 19, variation: 1 }),
}

/** Weeks before today with usual results; later ones are a little higher. */
const firstWeek = 8
const aWeek = 0.012

/** A child's values in a lane's tests, in their own steps, with as many tries as each counts. */
export function demoTries(
  { measures }: Pick<Publication, 'measures'>,
  lane: Lane,
  pupil: DemoPupil | undefined,
  weeksAgo: number,
  next: (from: number, to: number) => number,
): Result[] {
  const grade = pupil?.grades[0] ?? lane.grades[0]!
  const share = pupil?.share ?? 1
  return Object.entries(lane.plays).flatMap(([block, play]): Result[] => {
    const measured = measuredIn(play)
    const measure = measures?.find((m) => m.id === measured?.test)
    const spread = usual[measure?.id ?? '']?.(grade)
    if (!measured || !measure || !spread) return []
    // Days differ from each other, and so do tries on the same day.
    const variation = () => (next(-10, 10) / 10) * spread.variation
    const day = spread.value * (0.6 + 0.4 * share) * (1 + aWeek * (firstWeek - weeksAgo)) + variation()
    const { step, from, to } = measure.range
    return Array.from({ length: measured.trials }, (_, i) => ({
      block,
      trial: i + 1,
      value: Math.min(to, Math.max(from, Math.round((day + variation()) / step) * step)),
      unit: measure.unit,
      how: { setUp: setUpOf(measure, measured.setUp).id },
    }))
  })
}
