import { longestWorked, muscleNames, stretched } from '../../muscleWork.ts'
import type { Rule } from '../../rule.ts'

/** Of the two muscles that work longest, neither is stretched. */
export const workedNotStretched: Rule = {
  id: 'worked-not-stretched',
  level: 'note',
  family: 'shape',
  find: (view) => {
    const long = stretched(view)
    // Marching in the warm-up asks for no stretch.
    const asks = new Set(
      view.workout.sections.filter(({ role }) => !['warmUp', 'coolDown'].includes(role)).map(({ id }) => id),
    )
    const two = longestWorked(view, ({ section }) => asks.has(section))
      .slice(0, 2)
      .map(([id]) => id)
    if (!two.length || two.some((id) => long.has(id))) return []
    return [{ where: {}, groups: [], facts: { muscles: muscleNames(two, view), muscle: two[0]! } }]
  },
}
