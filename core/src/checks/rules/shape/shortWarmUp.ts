import { hardSteps, isMoving } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** Less moving before the first hard work than an eighth of the session, held between a minute and a half and three. */
export const shortWarmUp: Rule = {
  id: 'short-warm-up',
  level: 'look',
  family: 'shape',
  find: ({ lanes, workout }) => {
    // Jogging and jacks warm where they are meant to; what lands hard or is loaded never does.
    const warmUps = new Set(workout.sections.filter((s) => s.role === 'warmUp').map((s) => s.id))
    const cold = lanes.flatMap((lane) => {
      const first = hardSteps(lane).find(
        (s) => !warmUps.has(s.section) || s.doing!.version.impact >= limit('hardImpact', 0),
      )
      if (!first) return []
      const lands = first.doing!.version.impact >= limit('hardImpact', 0)
      if (lane.seconds < limit('warmUpFrom', lane.band) && !lands) return []
      const moved = lane.steps
        .filter((s) => s.at < first.at && isMoving(s))
        .reduce((sum, s) => sum + s.seconds.typical, 0)
      const wanted = Math.min(
        limit('warmUpMost', lane.band),
        Math.max(limit('warmUpLeast', lane.band), lane.seconds * limit('warmUpShare', lane.band)),
      )
      return moved < wanted ? [{ group: lane.group.id, moved, wanted, section: first.section }] : []
    })
    if (!cold.length) return []
    const least = cold.reduce((a, b) => (b.wanted - b.moved > a.wanted - a.moved ? b : a))
    return [
      {
        where: { section: least.section },
        groups: cold.map((c) => c.group),
        facts: { moved: Math.round(least.moved), wanted: Math.round(least.wanted) },
      },
    ]
  },
}
