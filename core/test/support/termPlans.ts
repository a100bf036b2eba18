import fc from 'fast-check'
import type { Form } from '@esfuerzo/core'
import {
  newTerm,
  openDays,
  planProblem,
  plannedTerm,
  type Place,
  type Term,
  type TermSession,
} from '@esfuerzo/core/term'
import { seededRandom } from '../../src/distribution/seededRandom.ts'
import type { PlanProblem } from '../../src/term/planProblem.ts'
import { comparePlans, planScore, type Plan, type PlanScore } from '../../src/term/planScore.ts'

/** A session's id, by its number. */
export const idOf = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`

/** A session's properties for planning. */
export const termSessionOf = (n: number, more: Partial<TermSession> = {}): TermSession => ({
  id: idOf(n),
  title: `Session ${String(n).padStart(2, '0')}`,
  minutes: 20,
  families: [],
  categories: [],
  builds: [],
  regions: [],
  parts: [],
  form: 'intervals',
  strength: false,
  moderate: 10,
  vigorous: 4,
  moves: [],
  things: [],
  tests: [],
  ...more,
})

const familyNames = ['squat', 'push', 'jump'] as const
const formNames: readonly Form[] = ['intervals', 'chance']

/** Small terms, each with its sessions: few enough to enumerate every plan. */
export const smallTerms = fc
  .record({
    weeks: fc.integer({ min: 2, max: 4 }),
    weekdays: fc.constantFrom([2], [2, 3], [2, 4], [1, 5]),
    holiday: fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined }),
    families: fc.subarray([...familyNames]),
    sessions: fc.array(
      fc.record({
        families: fc.subarray([...familyNames]),
        form: fc.constantFrom(...formNames),
        strength: fc.boolean(),
        moderate: fc.integer({ min: 2, max: 12 }),
        vigorous: fc.integer({ min: 0, max: 12 }),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    pins: fc.array(fc.record({ day: fc.nat(7), session: fc.option(fc.nat(2), { nil: undefined }) }), { maxLength: 2 }),
    tests: fc.boolean(),
    before: fc.option(fc.array(fc.option(fc.nat(3), { nil: undefined }), { maxLength: 8 }), { nil: undefined }),
  })
  .map(({ weeks, weekdays, holiday, families, sessions, pins, tests, before }) => {
    const known = sessions.map((s, i) => termSessionOf(i, s))
    const start: Term = {
      ...newTerm('Small', '2027-01-04'),
      weeks,
      days: weekdays.map((weekday) => ({ weekday, at: '15:00' })),
      off:
        holiday === undefined
          ? []
          : [
              {
                from: `2027-01-${String(4 + 7 * holiday).padStart(2, '0')}`,
                to: `2027-01-${String(10 + 7 * holiday).padStart(2, '0')}`,
                name: 'Holiday',
              },
            ],
      families,
      sessions: known.map((s) => s.id),
      ...(tests && { tests: known.at(-1)!.id, sessions: known.slice(0, -1).map((s) => s.id) }),
    }
    const dates = planProblem(start, known).days.map((d) => d.date)
    const places = new Map<string, Place>()
    for (const [i, n] of (before ?? []).entries())
      if (dates[i] && n !== undefined) places.set(dates[i], { id: `p${i}`, date: dates[i], session: idOf(n) })
    for (const [i, { day, session }] of pins.entries()) {
      const date = dates[day % Math.max(1, dates.length)]
      const id = session === undefined ? undefined : idOf(session % known.length)
      // The test days have a session of their own.
      if (date && id !== start.tests) places.set(date, { id: `q${i}`, date, pinned: true, ...(id && { session: id }) })
    }
    return { term: { ...start, places: [...places.values()] }, known, mend: before !== undefined }
  })

/** The best of all plans, by enumerating them. */
export function bestOfAll(problem: PlanProblem): PlanScore | undefined {
  let best: PlanScore | undefined
  const plan: (number | undefined)[] = problem.days.map(() => undefined)
  const step = (i: number): void => {
    if (i === plan.length) {
      const score = planScore(problem, plan as Plan)
      if (score.kept && (!best || comparePlans(score, best) > 0)) best = score
      return
    }
    for (const k of [undefined, ...problem.sessions.keys()]) {
      plan[i] = k
      step(i + 1)
    }
  }
  step(0)
  return best
}

const allFamilies = [
  'squat',
  'lunge',
  'hinge',
  'push',
  'pull',
  'brace',
  'curl',
  'twist',
  'jump',
  'travel',
  'balance',
] as const
const mainForms = ['intervals', 'rounds', 'chance', 'amrap', 'sets', 'calls', 'ladder'] as const

/** A term of twelve weeks with two home days, thirty sessions, test days and a holiday, from a seed. */
export function largeTerm(seed: number): { term: Term; known: TermSession[] } {
  const random = seededRandom(seed)
  const below = (n: number) => Math.floor(n * random())
  const known = Array.from({ length: 30 }, (_, i) =>
    termSessionOf(i, {
      families: allFamilies.filter(() => below(10) < 4),
      form: mainForms[below(mainForms.length)]!,
      strength: below(2) === 0,
      moderate: 4 + below(8),
      vigorous: below(9),
      tests: i === 29 ? ['pulse'] : [],
    }),
  )
  const week = 1 + below(10)
  const from = new Date(Date.UTC(2027, 0, 4 + 7 * week)).toISOString().slice(0, 10)
  const to = new Date(Date.UTC(2027, 0, 10 + 7 * week)).toISOString().slice(0, 10)
  return {
    known,
    term: {
      ...newTerm('Term', '2027-01-04'),
      days: [2, 3 + below(3)].map((weekday) => ({ weekday, at: '15:00' })),
      off: [{ from, to, name: 'Holiday' }],
      families: [...allFamilies],
      sessions: known.slice(0, 29).map((s) => s.id),
      tests: idOf(29),
    },
  }
}

/** A planned term from which a session and a day were removed since. */
export function mendedTerm(term: Term, problem: PlanProblem, plan: Plan): Term {
  const there = plannedTerm(term, problem, plan, new Map())
  const gone = there.places.find((p) => p.session !== term.tests)!.session!
  const day = openDays(there)[10]!
  return {
    ...there,
    sessions: there.sessions.filter((id) => id !== gone),
    off: [...there.off, { from: day.date, to: day.date, name: 'Sports day' }],
  }
}
