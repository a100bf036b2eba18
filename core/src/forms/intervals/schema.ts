import { z } from 'zod'
import { rule } from '../../base/problem.ts'
import { limits } from '../../base/limits.ts'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, secondsSchema, stationsField, travelSchema } from '../../session/blockParts.ts'

/** One lap's work and rest, in seconds. */
export const lapSchema = z.strictObject({
  work: z.int().min(1).max(limits.seconds),
  rest: secondsSchema,
})
export type Lap = z.infer<typeof lapSchema>

/** Timed by the clock: every station of every lap has the lap's work, then its rest. */
export const intervalsSchema = z.strictObject({
  ...blockFields,
  form: z.literal('intervals'),
  stations: stationsField,
  travel: travelSchema.optional(),
  /** The child chooses this many of the stations. */
  pick: perGroupSchema(z.int().min(1).max(limits.stations)).optional(),
  laps: perGroupSchema(z.array(lapSchema).min(1).max(limits.laps)),
  /** Replaces a lap's last rest between laps; 0 counts too. */
  lapRest: perGroupSchema(secondsSchema).optional(),
  /** False leaves out the block's very last rest. */
  lastRest: z.boolean().optional(),
  /** Whether an exercise with sides splits its slot in half (1) or takes two slots (2). */
  sideSlots: z.union([z.literal(1), z.literal(2)], { error: rule('oneOrTwo') }).optional(),
})
export interface IntervalsBlock extends z.infer<typeof intervalsSchema> {}

/** A new circuit of three laps of 30 s work and 30 s rest. */
export const newIntervals = (id: string): IntervalsBlock => ({
  id,
  form: 'intervals',
  stations: [],
  laps: { all: [1, 2, 3].map(() => ({ work: 30, rest: 30 })) },
})
