import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, seedSchema, stationsField, stretchSchema } from '../../session/blockParts.ts'

/** A caller calls and the children do it: each station is a call; its story name is the word. */
export const callsSchema = z.strictObject({
  ...blockFields,
  form: z.literal('calls'),
  stations: stationsField,
  /** Seconds from one call to the next. */
  every: perGroupSchema(stretchSchema),
  /** How long it lasts. */
  seconds: perGroupSchema(stretchSchema),
  seed: seedSchema,
})
export interface CallsBlock extends z.infer<typeof callsSchema> {}

/** Two minutes, a call every eight seconds. */
export const newCalls = (id: string): CallsBlock => ({
  id,
  form: 'calls',
  stations: [],
  every: { all: 8 },
  seconds: { all: 120 },
  seed: 1,
})
