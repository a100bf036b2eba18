import { hardSteps, isMoving } from './hardWork.ts'
import { limit } from './limits.ts'
import type { CheckedLane, CheckedStep, CheckView } from './view.ts'

/** A lane with hard work before it is warm. */
export interface ColdStart {
  lane: CheckedLane
  first: CheckedStep
  /** Seconds of moving before it, and how many are needed. */
  moved: number
  wanted: number
}

const lands = ({ doing }: CheckedStep): boolean => doing!.version.impact >= limit('hardImpact', 0)

/** Seconds of moving before a step. */
export const movedBefore = ({ steps }: CheckedLane, at: number): number =>
  steps.reduce((sum, s) => (s.at < at && isMoving(s) ? sum + s.seconds.typical : sum), 0)

/**
 * The lanes that move for less than an eighth of the session (at least a minute and a half, at most three) before their first hard work.
 * Jogging and jacks count as warming up; a short session needs no warm-up unless it has full-effort landings.
 */
export function coldStarts({ lanes, session }: CheckView): ColdStart[] {
  const warmUps = new Set(session.sections.filter((s) => s.role === 'warmUp').map((s) => s.id))
  return lanes.flatMap((lane) => {
    const first = hardSteps(lane).find((s) => !warmUps.has(s.section))
    if (!first || (lane.seconds < limit('warmUpFrom', lane.band) && !lands(first))) return []
    const moved = movedBefore(lane, first.at)
    const wanted = Math.min(
      limit('warmUpMost', lane.band),
      Math.max(limit('warmUpLeast', lane.band), lane.seconds * limit('warmUpShare', lane.band)),
    )
    return moved < wanted ? [{ lane, first, moved, wanted }] : []
  })
}

/** The lane that is furthest from warm. */
export const coldest = (cold: readonly ColdStart[]): ColdStart =>
  cold.reduce((a, b) => (b.wanted - b.moved > a.wanted - a.moved ? b : a))
