import { z } from 'zod'

/** The fitness aims a session can have. */
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
