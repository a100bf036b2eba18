import type { Rule } from '../../rule.ts'
import { coldest, coldStarts } from '../../warmth.ts'

/** Some moving before the first hard work, but too little to warm up. */
export const shortWarmUp: Rule = {
  id: 'short-warm-up',
  level: 'look',
  family: 'shape',
  find: (view) => {
    const cold = coldStarts(view).filter(({ moved }) => moved > 0)
    if (!cold.length) return []
    const { first, moved, wanted } = coldest(cold)
    return [
      {
        where: { section: first.section },
        groups: cold.map((c) => c.lane.group.id),
        facts: { moved: Math.round(moved), wanted: Math.round(wanted) },
      },
    ]
  },
}
