import { z } from 'zod'
import { rule } from '../base/problem.ts'
import { idSchema } from '../base/id.ts'
import { limits } from '../base/limits.ts'
import { testSchema } from '../terms/measure.ts'
import { perGroupSchema } from '../terms/perGroup.ts'
import { stationSchema } from './station.ts'
import { lineSchema, paragraphSchema } from '../base/text.ts'

/** Whole seconds on a clock. */
export const secondsSchema = z.int().min(0).max(limits.seconds)
/** A duration of at least a second. */
export const stretchSchema = z.int().min(1).max(limits.seconds)
/** How often something is done: laps, rounds, sets, tries. */
export const countSchema = z.int().min(1).max(limits.laps)
/** Where chance starts; the same seed gives the same draws. */
export const seedSchema = z
  .int()
  .min(0)
  .max(2 ** 32 - 1)

/** Fields of every block, in any form. */
export const blockFields = {
  id: idSchema,
  title: lineSchema.optional(),
  note: paragraphSchema.optional(),
  /** The teacher's own film, for an adult to open. */
  link: z
    .url({ protocol: /^https$/, error: rule('httpsAddress') })
    .max(500)
    .optional(),
  /** Measured between laps or rounds. */
  betweenLaps: testSchema.optional(),
}

/** The rows of a form whose rows are exercises. */
export const stationsField = z.array(stationSchema).max(limits.stations)

/** On the way from one station to the next: "round the far cone and back". */
export const travelSchema = z.strictObject({ how: lineSchema, seconds: perGroupSchema(stretchSchema) })
export type Travel = z.infer<typeof travelSchema>
