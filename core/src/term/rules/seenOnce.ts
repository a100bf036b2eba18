import { familyWithin } from '../planProblem.ts'
import type { TermRule } from '../termRule.ts'

/** A family of this term that comes only once, or again too late. */
export const seenOnce: TermRule = {
  id: 'seen-once',
  level: 'note',
  find: ({ term, days }) =>
    term.families.flatMap((family) => {
      const [first, second, ...rest] = days.filter((d) => d.session.families.includes(family))
      const between = first && second ? second.number - first.number : Infinity
      const times = [first, second, ...rest].filter(Boolean).length
      return between > familyWithin ? [{ family, times, ...(times > 1 && { days: between }) }] : []
    }),
}
