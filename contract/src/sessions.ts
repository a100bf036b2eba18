import { z } from 'zod'
import { buildsSchema, gradeSchema, lineSchema, sessionDocument } from '@esfuerzo/core'
import { documentField } from './documentField.ts'
import { endpoint, none } from './endpoint.ts'
import { emailSchema, idParams, momentSchema, revisionSchema, tokenParams } from './fields.ts'

export const sessionSummarySchema = z.strictObject({
  id: z.uuid(),
  title: lineSchema,
  minutes: z.int(),
  groups: z.array(z.strictObject({ letter: z.string(), name: lineSchema, grades: z.array(gradeSchema) })),
  builds: z.array(buildsSchema),
  revision: z.int(),
  updatedAt: momentSchema,
  /** Of the newest link, if there is one. */
  sentAt: momentSchema.nullable(),
  runs: z.int(),
})
export type SessionSummary = z.infer<typeof sessionSummarySchema>

export const removedSessionSchema = z.strictObject({
  id: z.uuid(),
  title: lineSchema,
  removedAt: momentSchema,
  /** When it is deleted permanently. */
  goneAt: momentSchema,
  runs: z.int(),
})
export type RemovedSession = z.infer<typeof removedSessionSchema>

/** A revision of a session. Saves within ten minutes count as one. */
export const keptRevisionSchema = z.strictObject({
  id: z.uuid(),
  title: lineSchema,
  name: lineSchema.nullable(),
  reason: z.enum(['edit', 'published', 'named']),
  startedAt: momentSchema,
  savedAt: momentSchema,
})
export type KeptRevision = z.infer<typeof keptRevisionSchema>

/** Longest text that a session may be created from (ours). */
export const longestOriginal = 100_000
/** The original text a session was created from. */
export const originalSchema = z.strictObject({
  text: z.string().min(1).max(longestOriginal),
  at: momentSchema,
})
export type Original = z.infer<typeof originalSchema>

const sessionField = documentField(sessionDocument)
const saved = z.strictObject({ id: z.uuid(), revision: z.int(), updatedAt: momentSchema })

/** A teacher's sessions: saving, trash, revisions, copies for colleagues. */
export const sessionEndpoints = {
  listSessions: endpoint({
    method: 'GET',
    path: '/api/workouts',
    access: 'teacher',
    answer: z.strictObject({ workouts: z.array(sessionSummarySchema) }),
  }),
  createSession: endpoint({
    method: 'POST',
    path: '/api/workouts',
    access: 'teacher',
    body: z.strictObject({
      document: sessionField,
      /** The text it is created from, if any. */
      original: originalSchema.shape.text.optional(),
    }),
    answer: saved,
  }),
  readSession: endpoint({
    method: 'GET',
    path: '/api/workouts/:id',
    access: 'teacher',
    params: idParams,
    answer: saved.extend({ document: sessionField }),
  }),
  /** `revision` is the one the change started from; a newer one is a conflict, and nothing changes. */
  saveSession: endpoint({
    method: 'PUT',
    path: '/api/workouts/:id',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ revision: revisionSchema, document: sessionField }),
    answer: saved,
  }),
  removeSession: endpoint({
    method: 'DELETE',
    path: '/api/workouts/:id',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  restoreSession: endpoint({
    method: 'POST',
    path: '/api/workouts/:id/restore',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  listBin: endpoint({
    method: 'GET',
    path: '/api/bin',
    access: 'teacher',
    answer: z.strictObject({ workouts: z.array(removedSessionSchema) }),
  }),
  /** Deletes a session from the trash permanently, with its links and results. */
  deleteSession: endpoint({
    method: 'DELETE',
    path: '/api/bin/:id',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  listRevisions: endpoint({
    method: 'GET',
    path: '/api/workouts/:id/versions',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({ versions: z.array(keptRevisionSchema) }),
  }),
  /** Closes the current revision, so that the next save starts another; a named one is kept. */
  keepRevision: endpoint({
    method: 'POST',
    path: '/api/workouts/:id/versions',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ name: lineSchema.min(1).optional() }),
    answer: none,
  }),
  readRevision: endpoint({
    method: 'GET',
    path: '/api/workouts/:id/versions/:version',
    access: 'teacher',
    params: z.strictObject({ id: z.uuid(), version: z.uuid() }),
    answer: keptRevisionSchema.extend({ document: sessionField }),
  }),
  /** An empty name removes it. */
  nameRevision: endpoint({
    method: 'PUT',
    path: '/api/workouts/:id/versions/:version',
    access: 'teacher',
    params: z.strictObject({ id: z.uuid(), version: z.uuid() }),
    body: z.strictObject({ name: lineSchema }),
    answer: keptRevisionSchema,
  }),
  /** The original text; null if the session was not created from one, or it was deleted. */
  readOriginal: endpoint({
    method: 'GET',
    path: '/api/workouts/:id/original',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({ original: originalSchema.nullable() }),
  }),
  removeOriginal: endpoint({
    method: 'DELETE',
    path: '/api/workouts/:id/original',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  /** Makes a copy available to a colleague through a link, and sends her a message if an address is given. */
  sendCopy: endpoint({
    method: 'POST',
    path: '/api/workouts/:id/copies',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({ email: emailSchema.optional() }),
    answer: z.strictObject({ token: z.string(), endsAt: momentSchema }),
  }),
  /** Any teacher with the link may look at it and add it to her sessions. */
  readCopy: endpoint({
    method: 'GET',
    path: '/api/copies/:token',
    access: 'teacher',
    params: tokenParams,
    answer: z.strictObject({ from: lineSchema, endsAt: momentSchema, document: sessionField }),
  }),
}
