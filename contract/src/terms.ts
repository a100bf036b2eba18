import { z } from 'zod'
import { lineSchema } from '@esfuerzo/core'
import { termDocument, termLimits } from '@esfuerzo/core/term'
import { documentField } from './documentField.ts'
import { endpoint, none } from './endpoint.ts'
import { idParams, momentSchema, revisionSchema, tokenParams, tokenSchema } from './fields.ts'
import { handoutEndpoints } from './handout.ts'

export const termSummarySchema = z.strictObject({
  id: z.uuid(),
  title: lineSchema,
  starts: z.iso.date(),
  weeks: z.int(),
  revision: z.int(),
  updatedAt: momentSchema,
})
export type TermSummary = z.infer<typeof termSummarySchema>

/** Results for a day: homes, each counted once, of a class's size if known. */
export const doneSchema = z.strictObject({
  place: z.string(),
  homes: z.int(),
})
export type Done = z.infer<typeof doneSchema>

const termField = documentField(termDocument)
const saved = z.strictObject({ id: z.uuid(), revision: z.int(), updatedAt: momentSchema })

/** A teacher's terms: saved over revisions, their results, and their calendar address. */
export const termEndpoints = {
  listTerms: endpoint({
    method: 'GET',
    path: '/api/terms',
    access: 'teacher',
    answer: z.strictObject({
      terms: z.array(termSummarySchema),
      /** Terms in the trash, the latest first. */
      removed: z.array(z.strictObject({ id: z.uuid(), title: lineSchema, removedAt: momentSchema })),
    }),
  }),
  createTerm: endpoint({
    method: 'POST',
    path: '/api/terms',
    access: 'teacher',
    body: z.strictObject({ document: termField }),
    answer: saved,
  }),
  readTerm: endpoint({
    method: 'GET',
    path: '/api/terms/:id',
    access: 'teacher',
    params: idParams,
    answer: saved.extend({ document: termField }),
  }),
  /** `revision` is the one the change started from; a newer one is a conflict, and nothing changes. */
  saveTerm: endpoint({
    method: 'PUT',
    path: '/api/terms/:id',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ revision: revisionSchema, document: termField }),
    answer: saved,
  }),
  removeTerm: endpoint({
    method: 'DELETE',
    path: '/api/terms/:id',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  restoreTerm: endpoint({
    method: 'POST',
    path: '/api/terms/:id/restore',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  /** Closes the current revision, so that the next save starts another. */
  keepTermRevision: endpoint({
    method: 'POST',
    path: '/api/terms/:id/versions',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  /** Share of homes: results for each day until the session comes again or two weeks have passed. */
  readDone: endpoint({
    method: 'GET',
    path: '/api/terms/:id/done',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({
      done: z.array(doneSchema).max(termLimits.places),
      /** Children of the term's class; null without a class. */
      children: z.int().nullable(),
    }),
  }),
  /** The term as an iCalendar file (RFC 5545). */
  termCalendar: endpoint({
    method: 'GET',
    path: '/api/terms/:id/calendar',
    access: 'teacher',
    params: idParams,
    answer: z.unknown(),
  }),
  /** The calendar address, if there is one. */
  readTermLink: endpoint({
    method: 'GET',
    path: '/api/terms/:id/link',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({ link: z.strictObject({ token: tokenSchema, madeAt: momentSchema }).nullable() }),
  }),
  /** Creates that address, or returns the existing one. */
  makeTermLink: endpoint({
    method: 'POST',
    path: '/api/terms/:id/link',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({ link: z.strictObject({ token: tokenSchema, madeAt: momentSchema }) }),
  }),
  /** Ends it: it shows nothing any more, and the next one is different. */
  endTermLink: endpoint({
    method: 'DELETE',
    path: '/api/terms/:id/link',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  /** Active links of the term's sessions, the latest of each: for the weekly message. */
  listTermLinks: endpoint({
    method: 'GET',
    path: '/api/terms/:id/links',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({
      links: z.array(z.strictObject({ workout: z.uuid(), token: tokenSchema, endsAt: momentSchema })),
    }),
  }),
  /** A message to families about a week, with links of the term's sessions only. */
  messageTermFamilies: endpoint({
    method: 'POST',
    path: '/api/terms/:id/message',
    access: 'teacher',
    params: idParams,
    body: handoutEndpoints.messageFamilies.body,
    answer: none,
  }),
  /** What it shows: the days of a term with their sessions' names, and no names of people. */
  subscribedTerm: endpoint({
    method: 'GET',
    path: '/api/go/:token/calendar',
    access: 'family',
    params: tokenParams,
    answer: z.unknown(),
  }),
}
