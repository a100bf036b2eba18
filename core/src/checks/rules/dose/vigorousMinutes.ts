import { endOf, isHard } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import { overLimit } from '../../overLimit.ts'
import type { Rule } from '../../rule.ts'
import type { Where } from '../../where.ts'

/** A long stretch of hard work without half a minute of easier work. */
export const vigorousMinutes: Rule = {
  id: 'vigorous-minutes',
  level: 'note',
  family: 'dose',
  find: ({ lanes }) =>
    overLimit(lanes, 'withoutRelief', 'seconds', ({ steps, band }) => {
      let worst: { n: number; where?: Where } = { n: 0 }
      let begun = 0
      let until = -Infinity
      for (const step of steps.filter(isHard)) {
        if (step.at - until >= limit('relief', band)) begun = step.at
        until = endOf(step)
        if (until - begun > worst.n) worst = { n: until - begun, where: { section: step.section, block: step.block } }
      }
      return worst
    }),
}
