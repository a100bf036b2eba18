import { z } from 'zod'
import { problemCodes, type Expected, type Received } from '@esfuerzo/core'

/** Every error between a page and the server, with the status it is sent with. */
export const errorStatus = {
  invalid: 400,
  'sign-in-needed': 401,
  'wrong-sign-in': 401,
  'foreign-origin': 403,
  'not-found': 404,
  conflict: 409,
  'newer-document': 409,
  ended: 410,
  'too-big': 413,
  'too-dear': 413,
  'recipient-refused': 422,
  'too-many-tries': 429,
  guarded: 429,
  unexpected: 500,
  'database-away': 503,
  'storage-full': 503,
  'mail-away': 503,
  busy: 503,
} as const
export type ErrorCode = keyof typeof errorStatus

/** An RFC 9457 problem document that names the fields. */
export const problemDocumentSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  code: z.enum(Object.keys(errorStatus) as [ErrorCode, ...ErrorCode[]]),
  detail: z.string(),
  /** The request's id, to find it in the log. */
  instance: z.string().optional(),
  problems: z
    .array(
      z.object({
        code: z.enum(problemCodes),
        path: z.array(z.union([z.string(), z.number()])),
        expected: z.custom<Expected>().optional(),
        received: z.custom<Received>().optional(),
      }),
    )
    .optional(),
})
export type ProblemDocument = z.infer<typeof problemDocumentSchema>
