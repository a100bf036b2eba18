import { z } from 'zod'
import { endpoint } from './endpoint.ts'

/** Account activity: sign-ins, what was sent, what was deleted. */
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
  /** The kind of event; a later release may send one this page has no words for. */
  kind: z.string().max(40),
  /** The session it was about, while it exists. */
  title: z.string().optional(),
})
export type LoggedEvent = z.infer<typeof eventSchema>

/** Number of entries shown. */
export const mostEvents = 100

export const eventEndpoints = {
  listEvents: endpoint({
    method: 'GET',
    path: '/api/events',
    access: 'teacher',
    answer: z.object({ events: z.array(eventSchema).max(mostEvents) }),
  }),
}
