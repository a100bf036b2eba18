import type { Facts } from '../../checks/rule.ts'
import { weeksAfterHolidays } from '../days.ts'
import { hardFrom } from '../planProblem.ts'
import { testsApart } from '../testDays.ts'
import type { TermRule } from '../termRule.ts'

/** Test days that cannot be compared: tired, out of practice, too close together, on another weekday. */
export const testDays: TermRule = {
  id: 'test-days',
  level: 'note',
  find: ({ term, days }): Facts[] => {
    if (term.tests === undefined) return []
    const after = new Set(weeksAfterHolidays(term))
    const own = days.filter((d) => d.session.id === term.tests)
    // The first of three is a practice test and is not compared.
    const [first, second] = own.length > 2 ? own.slice(1) : own
    const tired = own.filter((day) =>
      days.some((d) => day.number - d.number === 1 && d.session.id !== term.tests && d.session.vigorous >= hardFrom),
    )
    return [
      ...tired.map((d) => ({ what: 'hardBefore', week: d.week + 1 })),
      ...own.filter((d) => after.has(d.week)).map((d) => ({ what: 'afterHolidays', week: d.week + 1 })),
      ...(first && second && second.number - first.number < testsApart
        ? [{ what: 'tooNear', days: second.number - first.number }]
        : []),
      ...(first && second && (second.number - first.number) % 7 ? [{ what: 'weekday' }] : []),
    ]
  },
}
