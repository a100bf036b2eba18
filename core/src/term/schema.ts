import { z } from 'zod'
import type { Problem } from '../base/problem.ts'
import { idSchema } from '../base/id.ts'
import { lineSchema } from '../base/text.ts'
import type { DocumentKind } from '../documents/document.ts'
import { families } from '../terms/move.ts'

export const termFormat = 'esfuerzo.term'

/** The largest term (ours): half a year of every day. */
export const termLimits = { weeks: 30, places: 210, off: 40, sessions: 60, storm: 12 } as const

/** A weekday on which PE happens at home, and when. */
export const termDaySchema = z.strictObject({
  /** ISO 8601 weekday: 1 is Monday, 7 is Sunday. */
  weekday: z.int().min(1).max(7),
  /** `HH:MM`, in the school's zone. */
  at: z.iso.time({ precision: -1 }),
})
export type TermDay = z.infer<typeof termDaySchema>

/** Days without PE: holidays, a school camp, a festival. Both end dates are included. */
export const offSchema = z.strictObject({
  from: z.iso.date(),
  to: z.iso.date(),
  name: lineSchema.min(1).max(60),
})
export type Off = z.infer<typeof offSchema>

/** A session on a day, or a day kept free. */
export const placeSchema = z.strictObject({
  id: idSchema,
  date: z.iso.date(),
  /** Missing if the day is kept free: for bad weather, illness, catching up. */
  session: z.uuid().optional(),
  /** The session's title when it was placed: it may be deleted since. */
  title: lineSchema.max(120).optional(),
  /** The session made for its step; it replaces the planned one from then on. */
  made: z.uuid().optional(),
  /** No plan moves it. */
  pinned: z.literal(true).optional(),
})
export type Place = z.infer<typeof placeSchema>

/** A term: which session is done on which day. */
export const termSchema = z.strictObject({
  format: z.literal(termFormat),
  version: z.literal(1),
  title: lineSchema.min(1).max(120),
  /** The first day of its first week: a year of this millennium, because the database must be able to store it. */
  starts: z.iso.date().regex(/^2\d{3}-/),
  weeks: z.int().min(1).max(termLimits.weeks),
  days: z.array(termDaySchema).min(1).max(7),
  off: z.array(offSchema).max(termLimits.off),
  /** Families of exercises that should come at least twice. */
  families: z.array(z.enum(families)).max(families.length),
  /** Sessions a plan may use. */
  sessions: z.array(z.uuid()).max(termLimits.sessions),
  /** The session of the test days. */
  tests: z.uuid().optional(),
  /** Indoor, quiet sessions without equipment, ready for any day. */
  storm: z.array(z.uuid()).max(termLimits.storm),
  /** Whose term it is. */
  class: z.uuid().optional(),
  places: z.array(placeSchema).max(termLimits.places),
})
export interface Term extends z.infer<typeof termSchema> {}

const isTermLike = (document: unknown): document is Pick<Term, 'days' | 'off' | 'places'> => {
  const { days, off, places } = (document ?? {}) as Record<string, unknown>
  return [days, off, places].every((list) => Array.isArray(list) && list.every((one) => one && typeof one === 'object'))
}

/** Home days, dates of places and ids of places are unique; holidays end after they start. */
function cross(document: unknown): Problem[] {
  if (!isTermLike(document)) return []
  const twice = (values: readonly unknown[], path: (i: number) => (string | number)[]): Problem[] =>
    values.flatMap((value, i) =>
      values.indexOf(value) < i
        ? [{ code: 'duplicate-id', path: path(i), received: String(value), expected: { rule: 'oneOnly' } }]
        : [],
    )
  return [
    ...twice(
      document.days.map((d) => d.weekday),
      (i) => ['days', i, 'weekday'],
    ),
    ...twice(
      document.places.map((p) => p.date),
      (i) => ['places', i, 'date'],
    ),
    ...twice(
      document.places.map((p) => p.id),
      (i) => ['places', i, 'id'],
    ),
    ...document.off.flatMap(({ from, to }, i): Problem[] =>
      to < from
        ? [{ code: 'bad-format', path: ['off', i, 'to'], expected: { rule: 'notLessThanFrom' }, received: to }]
        : [],
    ),
  ]
}

/** A term as a document. */
export const termDocument: DocumentKind<Term> = {
  format: termFormat,
  version: 1,
  schema: termSchema,
  migrations: {},
  cross,
}

/** An empty term. @param starts the first day of its first week */
export const newTerm = (title: string, starts: string): Term => ({
  format: termFormat,
  version: 1,
  title,
  starts,
  weeks: 12,
  days: [
    { weekday: 2, at: '15:00' },
    { weekday: 4, at: '15:00' },
  ],
  off: [],
  families: [],
  sessions: [],
  storm: [],
  places: [],
})
