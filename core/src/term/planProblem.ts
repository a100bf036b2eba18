import type { Form } from '../session/forms.ts'
import type { Family } from '../terms/move.ts'
import { dayNumber, isEasierWeek, openDays, type HomeDay } from './days.ts'
import type { TermSession } from './profile.ts'
import type { Place, Term } from './schema.ts'
import { testDays, type TestMiss } from './testDays.ts'

/** Days between two times of one session: the fewest and the most. Common practice, no source. */
export const [soonest, latest] = [4, 14]
/** How often a session comes. Common practice, no source. */
export const [fewest, most] = [2, 3]
/** Days of rest after which a session starts over: three weeks after its last time. Trade's. */
export const rests = 21
/** Most days between a family's first and second time. Trade's. */
export const familyWithin = 21
/** How far a week's minutes may differ from the average; how much less an easier week has. */
const [uneven, easier] = [0.2, 0.75]

/** The properties of a session that a plan depends on. */
export interface PlanSession {
  id: string
  families: readonly Family[]
  form: Form | undefined
  strength: boolean
  /** Many vigorous minutes: not on the day before a test. */
  hard: boolean
  /** Moderate and vigorous minutes, whole. */
  load: number
  /** Indices of the days where it is fixed. */
  fixed: readonly number[]
  /** It comes on those days only: test days, or days she pinned, which form no series. */
  only: boolean
}

/** A week in a plan: the range of minutes without a cost. */
export interface PlanWeek {
  days: readonly number[]
  from: number
  to: number
}

/** A session that was on a day; undefined for none, or for one no longer used. */
export type Before = number | 'empty' | 'gone'

/** Which session comes when, as pure numbers: days and sessions by their indices. */
export interface PlanProblem {
  days: readonly HomeDay[]
  sessions: readonly PlanSession[]
  /** Days that are kept free. */
  free: ReadonlySet<number>
  families: readonly Family[]
  weeks: readonly PlanWeek[]
  /** Days before a test without hard work. */
  calm: ReadonlySet<number>
  /** The first day that is planned. */
  from?: string
  /** What was there before, by day; mending a plan changes as little as possible. */
  before?: readonly Before[]
  missed: readonly TestMiss[]
}

/** A session with this many vigorous minutes is hard. Ours. */
export const hardFrom = 8

/** Whether days of one session form a series: two or three, each four to fourteen days after the previous one. */
export const isSeries = (numbers: readonly number[]): boolean =>
  numbers.length >= fewest &&
  numbers.length <= most &&
  numbers.every((n, i) => i === 0 || (n - numbers[i - 1]! >= soonest && n - numbers[i - 1]! <= latest))

/** The last open day of every fourth week, if it is not pinned and the week has another. */
function freeDays(days: readonly HomeDay[], taken: ReadonlySet<number>): Set<number> {
  const free = new Set<number>()
  for (const week of new Set(days.map((d) => d.week).filter(isEasierWeek))) {
    const own = [...days.keys()].filter((i) => days[i]!.week === week)
    const last = own.findLast((i) => !taken.has(i))
    if (own.length > 1 && last !== undefined) free.add(last)
  }
  return free
}

export interface PlanOptions {
  /** The first planned day, an ISO date: earlier ones are over and stay. All days by default. */
  from?: string
  /** Changes as little as possible. */
  mend?: boolean
}

/**
 * The planning problem of a term.
 *
 * @param known the sessions a plan may use and those that are pinned; others are left out
 */
export function planProblem(term: Term, known: readonly TermSession[], { mend, from }: PlanOptions = {}): PlanProblem {
  const days = openDays(term).filter((d) => from === undefined || d.date >= from)
  const at = new Map(days.map((d, i) => [d.date, i]))
  const indexOf = ({ date }: Pick<Place, 'date'>): number[] => {
    const i = at.get(date)
    return i === undefined ? [] : [i]
  }
  const pinned = term.places.filter((p) => p.pinned)
  const keptFree = pinned.filter((p) => !p.session).flatMap(indexOf)
  const kept = new Set(pinned.map((p) => p.date))
  const past = from === undefined ? [] : term.places.filter((p) => p.date < from)
  // If she pinned the test days, hers are used.
  const test = known.find((s) => s.id === term.tests && !pinned.some((p) => p.session === s.id))
  const had = past.filter((p) => p.session === test?.id).map((p) => p.date)
  const { days: tested, missed } = test ? testDays(term, kept, { from, had }) : { missed: [] }
  const ofTests = tested ? [tested.tryOut, tested.first, tested.second].flatMap(indexOf) : []
  const pinnedOf = (id: string) =>
    pinned
      .filter((p) => p.session === id)
      .flatMap(indexOf)
      .sort((a, b) => a - b)
  const sessions = known
    .filter((s) => term.sessions.includes(s.id) || s.id === term.tests || pinnedOf(s.id).length)
    .sort((a, b) => (a.title < b.title ? -1 : a.title > b.title ? 1 : a.id < b.id ? -1 : 1))
    .map((s): PlanSession => {
      const isTest = s.id === term.tests
      const fixed = isTest && ofTests.length ? ofTests : pinnedOf(s.id)
      return {
        id: s.id,
        // A test practices nothing.
        families: isTest ? [] : s.families.filter((f) => term.families.includes(f)),
        form: s.form,
        strength: s.strength,
        hard: s.vigorous >= hardFrom,
        load: Math.round(s.moderate + s.vigorous),
        fixed,
        only: isTest || !term.sessions.includes(s.id) || (fixed.length > 0 && !canBeSeries(fixed, days)),
      }
    })
  const testing = sessions.find((s) => s.id === term.tests)?.fixed ?? []
  const free = new Set([...freeDays(days, new Set([...sessions.flatMap((s) => s.fixed), ...keptFree])), ...keptFree])
  const index = new Map(sessions.map((s, i) => [s.id, i]))
  const there = ({ date }: HomeDay): Before => {
    const session = term.places.find((p) => p.date === date)?.session
    return session === undefined ? 'empty' : (index.get(session) ?? 'gone')
  }
  return {
    days,
    sessions,
    free,
    ...(from !== undefined && { from }),
    families: term.families.filter((family) => !isMet(family, past, known)),
    weeks: weeksOf(days, free, sessions),
    calm: new Set(testing.filter((i) => i > 0 && days[i]!.number - days[i - 1]!.number === 1).map((i) => i - 1)),
    missed,
    ...(mend && { before: days.map(there) }),
  }
}

/** Whether past days already have a family twice, soon enough. */
function isMet(family: Family, past: readonly Place[], known: readonly TermSession[]): boolean {
  const held = new Set(known.filter((s) => s.families.includes(family)).map((s) => s.id))
  const numbers = past.flatMap((p) => (p.session !== undefined && held.has(p.session) ? [dayNumber(p.date)] : []))
  const [first, second] = numbers.sort((a, b) => a - b)
  return first !== undefined && second !== undefined && second - first <= familyWithin
}

/** Whether kept days may be part of a series. */
const canBeSeries = (fixed: readonly number[], days: readonly HomeDay[]): boolean => {
  const numbers = fixed.map((i) => days[i]!.number)
  if (numbers.length > most) return false
  if (numbers.length === 1) return days.some((d) => isSeries([numbers[0]!, d.number].sort((a, b) => a - b)))
  // A third may come in between.
  return isSeries(numbers) || (numbers.length === 2 && days.some((d) => isSeries([numbers[0]!, d.number, numbers[1]!])))
}

/** The target range of each week's minutes: near the sessions' average for the days it has. */
function weeksOf(days: readonly HomeDay[], free: ReadonlySet<number>, sessions: readonly PlanSession[]): PlanWeek[] {
  const mean = sessions.reduce((sum, s) => sum + s.load, 0) / Math.max(1, sessions.length)
  return [...new Set(days.map((d) => d.week))].map((week) => {
    const own = [...days.keys()].filter((i) => days[i]!.week === week)
    const usable = own.filter((i) => !free.has(i)).length
    const full = mean * own.length
    return isEasierWeek(week)
      ? { days: own, from: 0, to: Math.round(Math.min(easier * full, (1 + uneven) * mean * usable)) }
      : { days: own, from: Math.round((1 - uneven) * mean * usable), to: Math.round((1 + uneven) * mean * usable) }
  })
}
