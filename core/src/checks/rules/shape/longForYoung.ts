import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** More work than the youngest can keep up with. */
export const longForYoung: Rule = {
  id: 'long-for-young',
  level: 'note',
  family: 'shape',
  find: ({ lanes }) =>
    lanes
      .filter(({ band }) => band === 0)
      .flatMap(({ group, totals, steps, band }) => {
        const { work } = totals.session
        if (work <= limit('youngWork', band)) return []
        const moves = new Set(steps.flatMap((s) => (s.kind === 'work' && s.move ? [s.move] : []))).size
        return [{ where: {}, groups: [group.id], facts: { minutes: Math.round(work / 60), moves } }]
      }),
}
