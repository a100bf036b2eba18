import { z } from 'zod'
import { accountEndpoints } from './accounts.ts'
import { bookEndpoints } from './book.ts'
import { classEndpoints } from './classes.ts'
import { endpoint, type Endpoint } from './endpoint.ts'
import { eventEndpoints } from './events.ts'
import { handoutEndpoints } from './handout.ts'
import { moveEndpoints } from './moves.ts'
import { outboxEndpoints } from './outbox.ts'
import { publicationEndpoints } from './publications.ts'
import { shelfEndpoints } from './shelf.ts'
import { termEndpoints } from './terms.ts'
import { sessionEndpoints } from './sessions.ts'

/** The documents whose JSON Schema is served. */
export const schemaNames = [
  'workout.json',
  'part.json',
  'run.json',
  'settings.json',
  'moves.json',
  'term.json',
] as const

/** Routes of no feature. */
const ownEndpoints = {
  schema: endpoint({
    method: 'GET',
    path: '/schemas/:name',
    access: 'anyone',
    params: z.strictObject({ name: z.enum(schemaNames) }),
    answer: z.unknown(),
  }),
  health: endpoint({
    method: 'GET',
    path: '/healthz',
    access: 'anyone',
    answer: z.strictObject({
      status: z.enum(['ok', 'degraded', 'stopping']),
      database: z.enum(['ok', 'away']),
      storage: z.enum(['ok', 'full']),
    }),
  }),
}

// Written out: the inferred type is longer than the compiler writes into a declaration.
export type Endpoints = typeof accountEndpoints &
  typeof sessionEndpoints &
  typeof shelfEndpoints &
  typeof moveEndpoints &
  typeof publicationEndpoints &
  typeof classEndpoints &
  typeof bookEndpoints &
  typeof eventEndpoints &
  typeof handoutEndpoints &
  typeof termEndpoints &
  typeof outboxEndpoints &
  typeof ownEndpoints
export type EndpointName = keyof Endpoints

/** Every route of the server except pages. The access matrix test walks this list. */
export const endpoints: Endpoints = {
  ...accountEndpoints,
  ...sessionEndpoints,
  ...shelfEndpoints,
  ...moveEndpoints,
  ...publicationEndpoints,
  ...classEndpoints,
  ...bookEndpoints,
  ...eventEndpoints,
  ...handoutEndpoints,
  ...termEndpoints,
  ...outboxEndpoints,
  ...ownEndpoints,
} satisfies Record<string, Endpoint>
