import type { Form } from '../session/forms.ts'
import type { Builds } from '../terms/builds.ts'
import { homeDays } from './days.ts'
import type { TermSession } from './profile.ts'
import type { Place, Term } from './schema.ts'

/** What a term is judged by. */
export const coverageKinds = ['families', 'categories', 'builds', 'regions', 'parts'] as const
export type CoverageKind = (typeof coverageKinds)[number]

/** How often something comes, week by week. */
export interface CoverageRow {
  kind: CoverageKind
  id: string
  weeks: number[]
  total: number
}

/** A week in numbers: how many sessions, how hard, how long, which kinds. */
export interface WeekFacts {
  week: number
  /** Days with a session; a week with only holidays has none. */
  days: number
  open: number
  minutes: number
  /** Predicted. */
  moderate: number
  vigorous: number
  types: Builds[]
  /** Ids of exercises that were in no session before. */
  newMoves: string[]
  /** Ids of things to fetch. */
  things: string[]
}

export interface Coverage {
  rows: CoverageRow[]
  weeks: WeekFacts[]
  /** How often each form is a main section. */
  forms: { form: Form; times: number }[]
}

const distinct = <T>(values: readonly T[]): T[] => [...new Set(values)]
const rounded = (n: number): number => Math.round(10 * n) / 10

/**
 * The coverage of a term.
 *
 * @param sessions by id; a place whose session is not among them counts for nothing
 * @param ids what to look for, by kind, in display order; what no session has is listed with zeros
 * @param met ids of moves the class knew before
 * @param counts which places count; all by default
 */
export function coverage(
  term: Term,
  sessions: ReadonlyMap<string, TermSession>,
  ids: Readonly<Record<CoverageKind, readonly string[]>>,
  met: ReadonlySet<string> = new Set(),
  counts: (place: Place) => boolean = () => true,
): Coverage {
  const days = homeDays(term)
  const weekOf = new Map(days.map((d) => [d.date, d.week]))
  const placed = term.places
    .filter(counts)
    .flatMap((place) => {
      const session = place.session === undefined ? undefined : sessions.get(place.session)
      const week = weekOf.get(place.date)
      return session && week !== undefined ? [{ date: place.date, week, session }] : []
    })
    .sort((a, b) => (a.date < b.date ? -1 : 1))
  const known = new Set(met)
  const weeks = Array.from({ length: term.weeks }, (_, week): WeekFacts => {
    const own = placed.filter((p) => p.week === week).map((p) => p.session)
    const sum = (secondsIn: (session: TermSession) => number) => rounded(own.reduce((n, s) => n + secondsIn(s), 0))
    const newMoves = distinct(own.flatMap((s) => s.moves)).filter((id) => !known.has(id))
    for (const id of newMoves) known.add(id)
    return {
      week,
      days: own.length,
      open: days.filter((d) => d.week === week && d.off === undefined).length,
      minutes: sum((s) => s.minutes),
      moderate: sum((s) => s.moderate),
      vigorous: sum((s) => s.vigorous),
      types: distinct(own.flatMap((s) => s.builds)),
      newMoves,
      things: distinct(own.flatMap((s) => s.things)),
    }
  })
  const rows = coverageKinds.flatMap((kind) =>
    ids[kind].map((id): CoverageRow => {
      const times = Array.from(
        { length: term.weeks },
        (_, week) => placed.filter((p) => p.week === week && (p.session[kind] as string[]).includes(id)).length,
      )
      return { kind, id, weeks: times, total: times.reduce((a, b) => a + b, 0) }
    }),
  )
  const used = placed.flatMap((p) => p.session.form ?? [])
  const forms = distinct(used).map((form) => ({ form, times: used.filter((f) => f === form).length }))
  return { rows, weeks, forms: forms.sort((a, b) => b.times - a.times) }
}
