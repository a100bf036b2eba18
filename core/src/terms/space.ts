import { z } from 'zod'

/** How much floor: a spot, a mat's length, a few steps (2–3 m), room to run (5–10 m). */
export const spaceSchema = z.enum(['spot', 'mat', 'steps', 'run'])
export type Space = z.infer<typeof spaceSchema>
