import type { Facts } from '../../checks/rule.ts'
import { latest, most, rests, soonest } from '../planProblem.ts'
import type { TermRule } from '../termRule.ts'

/** A session that repeats too soon, too late to be remembered, or too many times in a row. */
export const againInTime: TermRule = {
  id: 'again-in-time',
  level: 'note',
  find: ({ term, days }) => {
    const ids = [...new Set(days.map((d) => d.session.id))].filter((id) => id !== term.tests)
    return ids.flatMap((id): Facts[] => {
      const own = days.filter((d) => d.session.id === id)
      const { title } = own[0]!.session
      const gaps = own.slice(1).map((day, i) => ({ between: day.number - own[i]!.number, week: day.week + 1 }))
      const wrong = gaps.find(({ between }) => between < soonest || (between > latest && between < rests))
      if (wrong) return [{ title, week: wrong.week, days: wrong.between }]
      // The longest run of times without a break.
      const runs = gaps.reduce(
        (runs, { between }) => (between < rests ? [...runs.slice(0, -1), runs.at(-1)! + 1] : [...runs, 1]),
        [1],
      )
      const times = Math.max(...runs)
      return times > most ? [{ title, times }] : []
    })
  },
}
