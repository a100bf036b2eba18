import { z } from 'zod'

/** The fitness ideas a session can be built round. */
export const buildsSchema = z.enum([
  'endurance',
  'strength',
  'muscularEndurance',
  'flexibility',
  'power',
  'balance',
  'coordination',
  'agility',
  'speed',
])
export type Builds = z.infer<typeof buildsSchema>
