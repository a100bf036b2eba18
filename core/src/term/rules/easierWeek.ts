import { isEasierWeek } from '../days.ts'
import type { TermRule } from '../termRule.ts'

/** The largest share of the previous three weeks' minutes in an easier week. Trade's. */
const share = 0.75

/** A fourth week as hard as the three before it. */
export const easierWeek: TermRule = {
  id: 'easier-week',
  level: 'note',
  find: ({ term, days }) => {
    const effort = (week: number) =>
      days.filter((d) => d.week === week).reduce((sum, { session }) => sum + session.moderate + session.vigorous, 0)
    return Array.from({ length: term.weeks }, (_, week) => week)
      .filter(isEasierWeek)
      .flatMap((week) => {
        const before = [week - 3, week - 2, week - 1].map(effort)
        // Holidays among them were enough rest.
        if (before.some((minutes) => minutes === 0)) return []
        const mean = before.reduce((a, b) => a + b, 0) / before.length
        return effort(week) > share * mean
          ? [{ week: week + 1, minutes: Math.round(effort(week)), before: Math.round(mean) }]
          : []
      })
  },
}
