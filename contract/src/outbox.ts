import { z } from 'zod'
import { rule } from '@esfuerzo/core'
import { endpoint } from './endpoint.ts'
import { momentSchema } from './fields.ts'

/** A message in the simulated outbox. */
export const messageSchema = z.strictObject({
  id: z.string(),
  to: z.string(),
  subject: z.string(),
  date: momentSchema,
  text: z.string(),
})
export type Message = z.infer<typeof messageSchema>

/** The key that opens it, printed when the server starts. */
const keyQuery = z.strictObject({ key: z.string().max(40).default('') })

/** A stand-in for a mail server: what would have been sent. Demo only. */
export const outboxEndpoints = {
  /** The messages that would have been sent; demo only, for the holder of its key. */
  listOutbox: endpoint({
    method: 'GET',
    path: '/api/outbox',
    access: 'anyone',
    query: keyQuery,
    answer: z.strictObject({ messages: z.array(messageSchema) }),
  }),
  /** One message as an .eml file (RFC 5322). */
  readMessage: endpoint({
    method: 'GET',
    path: '/api/outbox/:file',
    access: 'anyone',
    query: keyQuery,
    params: z.strictObject({ file: z.string().regex(/^[A-Za-z0-9-]{1,80}\.eml$/, rule('messageFile')) }),
    answer: z.unknown(),
  }),
}
