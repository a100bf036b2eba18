import { z } from 'zod'
import { rule, languages } from '@esfuerzo/core'
import { endpoint } from './endpoint.ts'
import { emailSchema, idParams, tokenSchema } from './fields.ts'
import { papers } from './papers.ts'

/** The kinds of printable sheet. */
export const sheetKinds = ['session', 'poster', 'stations', 'coin', 'cards', 'results', 'fetch', 'care'] as const
export type SheetKind = (typeof sheetKinds)[number]
/** A sheet for the teacher alone: the checks. Families never see it. */
export const teacherSheetKinds = [...sheetKinds, 'look'] as const
export type TeacherSheetKind = (typeof teacherSheetKinds)[number]

const sheetQuery = z.strictObject({
  /** Ids of lanes, separated by commas; all lanes by default. */
  lanes: z
    .string()
    .regex(/^[\w-]{1,40}(,[\w-]{1,40}){0,5}$/, rule('lanesWithCommas'))
    .optional(),
  language: z.enum(languages).default('en'),
  paper: z.enum(papers).default('a4'),
})

const kindField = { kind: z.enum(sheetKinds) }
const daySchema = z.iso.date()

/** A session as a printed sheet, a calendar entry or a message. */
export const handoutEndpoints = {
  /** A PDF of the current session. */
  sheet: endpoint({
    method: 'GET',
    path: '/api/workouts/:id/sheets/:kind',
    access: 'teacher',
    params: idParams.extend({ kind: z.enum(teacherSheetKinds) }),
    query: sheetQuery,
    answer: z.unknown(),
  }),
  /** A PDF of what a link opens. */
  familySheet: endpoint({
    method: 'GET',
    path: '/api/go/:token/sheets/:kind',
    access: 'family',
    params: z.strictObject({ token: tokenSchema, ...kindField }),
    query: sheetQuery,
    answer: z.unknown(),
  }),
  /** Home days as iCalendar (RFC 5545). */
  calendar: endpoint({
    method: 'GET',
    path: '/api/publications/:id/calendar',
    access: 'teacher',
    params: idParams,
    query: z.strictObject({
      /** Dates in the school's calendar, separated by commas. */
      days: z
        .string()
        .max(11 * 60)
        .transform((text) => text.split(','))
        .pipe(z.array(daySchema).min(1).max(60)),
      /** The time of day at the school. */
      at: z.iso.time({ precision: -1 }),
    }),
    answer: z.unknown(),
  }),
  /** A message to families that contains the link, sent to an address that reaches them. */
  messageFamilies: endpoint({
    method: 'POST',
    path: '/api/publications/:id/message',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({
      to: emailSchema,
      subject: z.string().trim().min(1).max(160),
      text: z.string().trim().min(1).max(4000),
    }),
    answer: z.strictObject({}),
  }),
}
