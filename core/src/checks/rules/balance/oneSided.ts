import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'
import { strengthPart } from '../../../terms/strengthPart.ts'

/** A strength session in which most of the work is of one kind. */
export const oneSided: Rule = {
  id: 'one-sided',
  level: 'note',
  family: 'balance',
  find: (view) => {
    if (!view.session.aim.builds.includes('strength') || view.session.aim.muscle) return []
    return perLane(view, ({ steps, band }) => {
      const sums = new Map<string, number>()
      for (const { kind, doing, seconds } of steps) {
        const part = kind === 'work' && doing && strengthPart[doing.move.family]
        if (part) sums.set(part, (sums.get(part) ?? 0) + seconds.typical)
      }
      const all = [...sums.values()].reduce((a, b) => a + b, 0)
      const [part, most] = [...sums].sort((a, b) => b[1] - a[1])[0] ?? ['', 0]
      return most > all * limit('oneSided', band)
        ? { facts: { part, share: Math.round((100 * most) / all) } }
        : undefined
    })
  },
}
