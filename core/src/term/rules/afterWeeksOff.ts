import type { TermRule } from '../termRule.ts'

/** Days without PE after which a class starts with something familiar. Trade's. */
const off = 14

/** The first session after two weeks off is new to the class. */
export const afterWeeksOff: TermRule = {
  id: 'after-weeks-off',
  level: 'note',
  find: ({ term, days }) =>
    days.flatMap((day, i) => {
      const before = days[i - 1]
      // From the last PE day to this one: a week's days lie in between without any holidays.
      if (!before || day.number - before.number < off + 2 || day.session.id === term.tests) return []
      const known = days.slice(0, i).some((d) => d.session.id === day.session.id)
      return known ? [] : [{ week: day.week + 1, title: day.session.title }]
    }),
}
