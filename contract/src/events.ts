import { z } from 'zod'
import { endpoint } from './endpoint.ts'

/** What is written down of an account: who came in, what went out, what was taken away. */
export const eventKinds = [
  'signed-in',
  'signed-in-by-link',
  'many-wrong-passwords',
  'password-changed',
  'password-chosen',
  'signed-out-everywhere',
  'exported',
  'handed-out',
  'link-ended',
  'link-misused',
  'copy-sent',
  'families-written',
  'calendar-opened',
  'calendar-ended',
  'code-renewed',
  'runs-deleted',
  'session-deleted',
  'pupil-deleted',
  'class-removed',
] as const
export type EventKind = (typeof eventKinds)[number]

const eventSchema = z.object({
  at: z.iso.datetime(),
  /** One of the kinds; of a later release's one more than a page has words for. */
  kind: z.string().max(40),
  /** Of the session it was done with, while there is one. */
  title: z.string().optional(),
})
export type LoggedEvent = z.infer<typeof eventSchema>

/** So many are shown. */
export const mostEvents = 100

export const eventEndpoints = {
  listEvents: endpoint({
    method: 'GET',
    path: '/api/events',
    access: 'teacher',
    answer: z.object({ events: z.array(eventSchema).max(mostEvents) }),
  }),
}
