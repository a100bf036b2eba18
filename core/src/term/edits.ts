import { sameValue } from '../base/sameValue.ts'
import { daysOn, dayNumber, openDays } from './days.ts'
import { rests, type PlanProblem } from './planProblem.ts'
import type { Plan } from './planScore.ts'
import { termLimits, type Place, type Term } from './schema.ts'

/** A session as a place names it. */
export interface Placed {
  session: string
  title: string
}

/** A free id for a place. @example nextPlaceId([{ id: 'd3' }]) // 'd4' */
export const nextPlaceId = (places: readonly Pick<Place, 'id'>[]): string =>
  `d${1 + Math.max(0, ...places.map(({ id }) => Number(/^d(\d+)$/.exec(id)?.[1] ?? 0)))}`

/** In order of date; the same term if nothing changed. */
const withPlaces = (term: Term, places: readonly Place[]): Term => {
  const sorted = [...places].sort((a, b) => (a.date < b.date ? -1 : 1))
  return sameValue(sorted, term.places) ? term : { ...term, places: sorted }
}
const others = (term: Term, date: string): Place[] => term.places.filter((p) => p.date !== date)

/** Puts a session on a day, replacing what is there. A full term stays unchanged. */
export function placeSession(term: Term, date: string, { session, title }: Placed): Term {
  const left = others(term, date)
  if (left.length >= termLimits.places) return term
  return withPlaces(term, [...left, { id: nextPlaceId(term.places), date, session, title }])
}

/** Keeps a day free, replacing what is there. */
export function keepFree(term: Term, date: string): Term {
  const left = others(term, date)
  if (left.length >= termLimits.places) return term
  return withPlaces(term, [...left, { id: nextPlaceId(term.places), date, pinned: true }])
}

/** Clears a day. */
export const clearDay = (term: Term, date: string): Term => withPlaces(term, others(term, date))

/** Swaps the contents of two days. */
export const moveDay = (term: Term, from: string, to: string): Term =>
  withPlaces(
    term,
    term.places.map((p) => (p.date === from ? { ...p, date: to } : p.date === to ? { ...p, date: from } : p)),
  )

/** Pins the contents of a day, or unpins them. */
export const pinDay = (term: Term, date: string, on: boolean): Term =>
  withPlaces(
    term,
    term.places.map((p) => {
      if (p.date !== date) return p
      const { pinned: _, ...rest } = p
      return on ? { ...rest, pinned: true } : rest
    }),
  )

/** Records which session was made for a place: it is used there from then on. */
export const madeFor = (term: Term, id: string, made: string): Term =>
  withPlaces(
    term,
    term.places.map((p) => (p.id === id ? { ...p, made } : p)),
  )

/** Places on days that are no longer home days, or in holidays. */
export function strandedPlaces(term: Term): Place[] {
  const open = new Set(openDays(term).map((d) => d.date))
  return term.places.filter((p) => !open.has(p.date))
}

/** How many times a session came before a place, each at most three weeks after the previous one: 0 for its first time. */
export function comingsBefore(term: Term, place: Pick<Place, 'session' | 'date'>): number {
  const before = term.places.filter((p) => p.session === place.session && p.date < place.date).map((p) => p.date)
  let [coming, last] = [0, place.date]
  for (const date of before.sort().reverse()) {
    if (dayNumber(last) - dayNumber(date) > rests) break
    coming++
    last = date
  }
  return coming
}

/** The step of the progression at an occurrence: every second one goes a step up. Trade's: learn it, do it, beat it. */
export const stepAt = (coming: number): number => Math.ceil(coming / 2)

/**
 * Puts a plan into a term. Pinned places stay; a session that stays on its day keeps its place, and one that moves to another day takes its
 * place's id along, so that calendars move the entry.
 *
 * @param titles of the sessions by id
 */
export function plannedTerm(term: Term, problem: PlanProblem, plan: Plan, titles: ReadonlyMap<string, string>): Term {
  const open = new Set(problem.days.map((d) => d.date))
  const pinned = term.places.filter((p) => p.pinned && open.has(p.date))
  const kept = new Set(pinned.map((p) => p.date))
  const wanted = problem.days.flatMap(({ date }, i) => {
    const k = plan[i]
    const session = k === undefined ? undefined : problem.sessions[k]!.id
    return kept.has(date) || session === undefined ? [] : [{ date, session }]
  })
  // Days before the first planned day are over.
  const past = term.places.filter((p) => problem.from !== undefined && p.date < problem.from)
  const loose = term.places.filter((p) => !p.pinned && p.session && !past.includes(p))
  const stays = wanted.flatMap((w) => loose.find((p) => p.date === w.date && p.session === w.session) ?? [])
  const left = loose.filter((p) => !stays.includes(p))
  const places: Place[] = [...past, ...pinned, ...stays]
  for (const { date, session } of wanted) {
    if (stays.some((p) => p.date === date)) continue
    const at = left.findIndex((p) => p.session === session)
    const [moved] = at < 0 ? [] : left.splice(at, 1)
    const title = titles.get(session) ?? moved?.title
    places.push(
      moved
        ? { ...moved, date }
        : { id: nextPlaceId([...term.places, ...places]), date, session, ...(title !== undefined && { title }) },
    )
  }
  // Free days for bad weather and illness are recognized.
  for (const i of problem.free) {
    const { date } = problem.days[i]!
    if (kept.has(date)) continue
    const there = term.places.find((p) => p.date === date && !p.session)
    places.push(there ?? { id: nextPlaceId([...term.places, ...places]), date })
  }
  return withPlaces(term, places)
}

/** Days that differ between two states of a term, in order. */
export function changedDays(before: Term, after: Term): string[] {
  const at = (term: Term, date: string) => term.places.find((p) => p.date === date)?.session ?? ''
  const dates = [...new Set([...before.places, ...after.places].map((p) => p.date))].sort()
  return dates.filter((date) => at(before, date) !== at(after, date))
}

/**
 * A new term from a finished one: the same sessions on the same weekdays, the same number of weeks in. It has no holidays or class yet;
 * sessions made for the next step are not copied.
 *
 * @param starts the first day of its first week, on the same weekday
 */
export function copiedTerm(term: Term, title: string, starts: string): Term {
  const by = dayNumber(starts) - dayNumber(term.starts)
  const { class: _, ...rest } = term
  return {
    ...rest,
    title,
    starts,
    off: [],
    places: term.places.map(({ made: __, ...p }) => ({ ...p, date: daysOn(p.date, by) })),
  }
}
