import { isHard } from '../../hardWork.ts'
import { longestWorked, muscleNames, warmed } from '../../muscleWork.ts'
import type { Rule } from '../../rule.ts'

/** Neither of the two muscles that work hard longest is moved before. */
export const notWarmed: Rule = {
  id: 'not-warmed',
  level: 'note',
  family: 'shape',
  find: (view) => {
    const warm = warmed(view)
    const two = longestWorked(view, isHard)
      .slice(0, 2)
      .map(([id]) => id)
    if (!two.length || two.some((id) => warm.has(id))) return []
    return [{ where: {}, groups: [], facts: { muscles: muscleNames(two, view), muscle: two[0]! } }]
  },
}
