import { endOf, hardSteps } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** Hard work within a minute of the end: *advice* after three minutes of it, otherwise a *tip*. */
export const noCoolDown: Rule = {
  id: 'no-cool-down',
  level: 'note',
  family: 'shape',
  find: ({ lanes, session }) => {
    if (session.aim.builds.every((b) => b === 'flexibility') && session.aim.builds.length) return []
    const hot = lanes.flatMap((lane) => {
      const hard = hardSteps(lane)
      const last = hard.at(-1)
      if (!last || lane.seconds - endOf(last) >= limit('coolDownLeast', lane.band)) return []
      const seconds = hard.reduce((sum, s) => sum + s.seconds.typical, 0)
      return [{ lane, last, seconds }]
    })
    if (!hot.length) return []
    const most = hot.reduce((a, b) => (b.seconds > a.seconds ? b : a))
    return [
      {
        ...(most.seconds >= limit('vigorousEnd', most.lane.band) && { level: 'look' as const }),
        where: { section: most.last.section },
        groups: hot.map(({ lane }) => lane.group.id),
        facts: { left: Math.round(most.lane.seconds - endOf(most.last)) },
      },
    ]
  },
}
