import { cameBackSchema } from '@esfuerzo/core/nextTime'
import { z } from 'zod'
import { rule, lineSchema, sessionDocument } from '@esfuerzo/core'
import { aliasSchema, daySchema } from '@esfuerzo/core/classBook'
import { runDocument } from '@esfuerzo/core/run'
import { documentField } from './documentField.ts'
import { endpoint, none } from './endpoint.ts'
import { idParams, momentSchema, revisionSchema, sha256Schema, tokenParams } from './fields.ts'

export const publicationInfoSchema = z.strictObject({
  id: z.uuid(),
  token: z.string(),
  sha256: sha256Schema,
  createdAt: momentSchema,
  endsAt: momentSchema,
  endedAt: momentSchema.nullable(),
  /** The class it is for; null for everyone. */
  classId: z.uuid().nullable(),
  runs: z.int(),
})
export type PublicationInfo = z.infer<typeof publicationInfoSchema>

export const runSummarySchema = z.strictObject({
  receivedAt: momentSchema,
  /** The link it came through. */
  publicationId: z.uuid(),
  workoutId: z.uuid(),
  title: lineSchema,
  letter: z.string(),
  groupName: lineSchema,
  /** The pupil it belongs to; null if nobody said. */
  alias: z.string().nullable(),
  run: documentField(runDocument),
  /** Names for what results belong to: stations, and blocks without stations. */
  stations: z.record(z.string(), z.string()),
})
export type RunSummary = z.infer<typeof runSummarySchema>

/** Where a page of runs ends: when its last run arrived, and that run's id. */
const pageMarkSchema = z
  .string()
  .max(80)
  .refine((mark) => z.tuple([momentSchema, z.uuid()]).safeParse(mark.split('~')).success, rule('markOfAPage'))

/** What is sent home, and its results. */
export const publicationEndpoints = {
  publishSession: endpoint({
    method: 'POST',
    path: '/api/workouts/:id/publications',
    access: 'teacher',
    params: idParams,
    body: z.strictObject({
      revision: revisionSchema,
      days: z.int().min(1).max(365),
      /** For one class; for all classes by default. */
      classId: z.uuid().optional(),
    }),
    answer: publicationInfoSchema,
  }),
  listPublications: endpoint({
    method: 'GET',
    path: '/api/workouts/:id/publications',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({ publications: z.array(publicationInfoSchema) }),
  }),
  endPublication: endpoint({
    method: 'POST',
    path: '/api/publications/:id/end',
    access: 'teacher',
    params: idParams,
    /** `misused`: nothing more is accepted, not even runs that ended before. */
    body: z.strictObject({ misused: z.boolean().optional() }),
    answer: publicationInfoSchema,
  }),
  /** The session as it was last sent, to compare with. */
  lastSent: endpoint({
    method: 'GET',
    path: '/api/workouts/:id/last-sent',
    access: 'teacher',
    params: idParams,
    answer: z.strictObject({ document: documentField(sessionDocument).nullable() }),
  }),
  /** How a session went the last times, lane by lane, the latest first: the basis of the next one. It names no child. */
  readCameBack: endpoint({
    method: 'GET',
    path: '/api/workouts/:id/came-back',
    access: 'teacher',
    params: idParams,
    /** Of one class only; by default of everyone. */
    query: z.strictObject({ class: z.uuid().optional() }),
    answer: z.strictObject({
      times: z.array(
        z.strictObject({ sentAt: z.iso.datetime(), lanes: z.record(z.string(), z.array(cameBackSchema)) }),
      ),
      /** The classes that did it, the one that did it last first. */
      classes: z.array(z.strictObject({ id: z.uuid(), name: z.string() })),
      /** Children without a class did it too. */
      others: z.boolean(),
    }),
  }),
  listRuns: endpoint({
    method: 'GET',
    path: '/api/runs',
    access: 'teacher',
    /** `before`: the `next` of the previous page. */
    query: z.strictObject({ workout: z.uuid().optional(), before: pageMarkSchema.optional() }),
    answer: z.strictObject({
      runs: z.array(runSummarySchema),
      /** All of them, listed or not. */
      total: z.int(),
      next: pageMarkSchema.nullable(),
    }),
  }),
  /** One run, for good. */
  removeRun: endpoint({
    method: 'DELETE',
    path: '/api/publications/:id/runs/:run',
    access: 'teacher',
    params: idParams.extend({ run: z.uuid() }),
    answer: none,
  }),
  /** Permanently deletes everything that arrived through a link that may have reached a stranger. */
  removeRuns: endpoint({
    method: 'DELETE',
    path: '/api/publications/:id/runs',
    access: 'teacher',
    params: idParams,
    answer: none,
  }),
  resolveLink: endpoint({
    method: 'GET',
    path: '/api/go/:token',
    access: 'family',
    params: tokenParams,
    answer: z.strictObject({
      sha256: sha256Schema,
      title: lineSchema,
      endsAt: momentSchema,
      /** The class the link is for. */
      grades: z.array(z.int()).optional(),
      /** Whether the teacher has given out codes. */
      codes: z.boolean(),
      /** Until which day results are kept; by default until the teacher deletes them. */
      keptUntil: daySchema.optional(),
    }),
  }),
  /** The pupil a code belongs to. The code opens nothing else. */
  giveCode: endpoint({
    method: 'POST',
    path: '/api/go/:token/code',
    access: 'family',
    params: tokenParams,
    body: z.strictObject({ code: z.string().max(12) }),
    answer: z.strictObject({
      alias: aliasSchema,
      /** The key this device sends the pupil's runs with. */
      key: z.string(),
    }),
  }),
  sendRun: endpoint({
    method: 'POST',
    path: '/api/go/:token/runs',
    access: 'family',
    params: tokenParams,
    body: documentField(runDocument),
    answer: z.strictObject({ id: z.uuid() }),
  }),
  /** The address is the content's own hash: whoever knows it has the session already. */
  snapshot: endpoint({
    method: 'GET',
    path: '/snapshots/:sha256',
    access: 'anyone',
    params: z.strictObject({ sha256: sha256Schema }),
    answer: z.unknown(),
  }),
}
