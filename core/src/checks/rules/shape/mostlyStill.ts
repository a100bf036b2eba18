import { isMoving } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'

/** Aims that are still by nature, or rest long by design. */
const still = ['strength', 'power', 'flexibility', 'balance', 'muscularEndurance']

/** Less than half of the time moving when moving is the aim. */
export const mostlyStill: Rule = {
  id: 'mostly-still',
  level: 'note',
  family: 'shape',
  find: (view) => {
    const { builds } = view.session.aim
    if (!builds.length || builds.some((b) => still.includes(b))) return []
    return perLane(view, ({ steps, seconds, band }) => {
      const moving = steps.filter(isMoving).reduce((sum, s) => sum + s.seconds.typical, 0)
      if (!seconds || moving / seconds >= limit('activeShare', band)) return undefined
      return { facts: { moving: Math.round(moving), seconds: Math.round(seconds) } }
    })
  },
}
