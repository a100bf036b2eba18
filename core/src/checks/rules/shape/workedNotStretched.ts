import { longestInWork, muscleNames, stretched } from '../../muscleWork.ts'
import type { Rule } from '../../rule.ts'

/** Neither of the two muscles that work longest is stretched. */
export const workedNotStretched: Rule = {
  id: 'worked-not-stretched',
  level: 'note',
  family: 'shape',
  find: (view) => {
    const long = stretched(view)
    const two = longestInWork(view)
      .slice(0, 2)
      .map(([id]) => id)
    if (!two.length || two.some((id) => long.has(id))) return []
    return [{ where: {}, groups: [], facts: { muscles: muscleNames(two, view), muscle: two[0]! } }]
  },
}
