import { DateTime } from 'luxon'
import { keepFree, newTerm, openDays, placeSession, type Term } from '@esfuerzo/core/term'

/** A demo session, and when it was sent home. */
export interface DemoSent {
  id: string
  title: string
  sentAt: readonly Date[]
  tests: boolean
}

/** How many weeks ago the demo's term started. */
const begun = 7
/** Sessions of the coming weeks, and how often each. */
const times = 2

/**
 * The demo's term of twelve weeks: sent sessions on the days they were sent, planned weeks to come, and one free week.
 *
 * @param classId whose term it is
 */
export function demoTerm(sent: readonly DemoSent[], classId: string, now: Date, zone: string): Term {
  const today = DateTime.fromJSDate(now, { zone })
  const starts = today.startOf('week').minus({ weeks: begun })
  const monday = (week: number) => starts.plus({ weeks: week })
  const tests = sent.find((s) => s.tests)
  const first: Term = {
    ...newTerm('Autumn at home', starts.toISODate()!),
    off: [{ from: monday(9).toISODate()!, to: monday(9).plus({ days: 6 }).toISODate()!, name: 'Harbour festival' }],
    families: ['jump', 'squat', 'push', 'balance', 'travel'],
    sessions: sent.filter((s) => !s.tests).map((s) => s.id),
    storm: sent.slice(-2).map((s) => s.id),
    class: classId,
    ...(tests && { tests: tests.id }),
  }
  const days = openDays(first)
  const comings = sent
    .flatMap((s) => s.sentAt.map((at) => ({ ...s, date: DateTime.fromJSDate(at, { zone }).toISODate()! })))
    .sort((a, b) => (a.date < b.date ? -1 : 1))
  const past = comings.reduce((term, { id, title, date }) => {
    const free = days.filter((d) => d.date <= date && !term.places.some((p) => p.date === d.date))
    const last = free.at(-1)
    return last ? placeSession(term, last.date, { session: id, title }) : term
  }, first)
  // Pairs of sessions alternate, so that each returns a week later; the last day of every fourth week has the rainy-day session.
  const todo = days.filter((d) => d.week >= begun && !past.places.some((p) => p.date === d.date))
  const others = sent.filter((s) => !s.tests)
  return todo.reduce((term, { date, week }, i) => {
    if (week % 4 === 3 && todo[i + 1]?.week !== week) return keepFree(term, date)
    const next = others[(2 * Math.floor(i / (2 * times)) + (i % 2)) % others.length]
    return next ? placeSession(term, date, { session: next.id, title: next.title }) : term
  }, past)
}
