import type { Rule } from '../../rule.ts'
import { coldest, coldStarts } from '../../warmth.ts'

/** Hard work without any moving before it. */
export const noWarmUp: Rule = {
  id: 'no-warm-up',
  level: 'look',
  family: 'shape',
  find: (view) => {
    const cold = coldStarts(view).filter(({ moved }) => moved === 0)
    if (!cold.length) return []
    const { first, wanted } = coldest(cold)
    return [
      {
        where: { section: first.section },
        groups: cold.map((c) => c.lane.group.id),
        facts: { wanted: Math.round(wanted) },
      },
    ]
  },
}
