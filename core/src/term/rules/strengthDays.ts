import type { TermRule } from '../termRule.ts'

/** Strength on two consecutive calendar days. */
export const strengthDays: TermRule = {
  id: 'strength-days',
  level: 'note',
  find: ({ days }) =>
    days.flatMap((day, i) => {
      const next = days[i + 1]
      const both = day.session.strength && next?.session.strength
      return both && next.number - day.number === 1 ? [{ week: day.week + 1 }] : []
    }),
}
