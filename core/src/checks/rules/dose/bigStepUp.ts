import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'

/** A third more work than the last session of the same aim within three weeks. */
export const bigStepUp: Rule = {
  id: 'big-step-up',
  level: 'note',
  family: 'dose',
  find: (view) => {
    const { lastWork } = view.context
    if (!lastWork) return []
    return perLane(view, ({ totals, band }) => {
      const { work } = totals.session
      if (work <= lastWork * limit('stepUp', band)) return undefined
      return { facts: { work: Math.round(work), before: Math.round(lastWork) } }
    })
  },
}
