import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import {
  blockFields,
  countSchema,
  secondsSchema,
  stationsField,
  stretchSchema,
  travelSchema,
} from '../../session/blockParts.ts'

/** A circuit by reps: all the stations, a rest, and again. */
export const roundsSchema = z.strictObject({
  ...blockFields,
  form: z.literal('rounds'),
  stations: stationsField,
  travel: travelSchema.optional(),
  rounds: perGroupSchema(countSchema),
  /** Between rounds, instead of the rest between stations. */
  restBetween: perGroupSchema(secondsSchema),
  restStations: perGroupSchema(secondsSchema),
  /** Nobody continues past it; it cuts the step it meets. */
  cap: perGroupSchema(stretchSchema).optional(),
})
export interface RoundsBlock extends z.infer<typeof roundsSchema> {}

/** Three rounds with a minute between them. */
export const newRounds = (id: string): RoundsBlock => ({
  id,
  form: 'rounds',
  stations: [],
  rounds: { all: 3 },
  restBetween: { all: 60 },
  restStations: { all: 0 },
})
