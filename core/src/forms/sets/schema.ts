import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, countSchema, secondsSchema, stationsField } from '../../session/blockParts.ts'

/** Three sets of ten, one exercise at a time. */
export const setsSchema = z.strictObject({
  ...blockFields,
  form: z.literal('sets'),
  stations: stationsField,
  sets: perGroupSchema(countSchema),
  /** Between the sets of one exercise. */
  restBetween: perGroupSchema(secondsSchema),
  /** Between one exercise and the next. */
  restStations: perGroupSchema(secondsSchema),
})
export interface SetsBlock extends z.infer<typeof setsSchema> {}

/** Three sets with a minute between them. */
export const newSets = (id: string): SetsBlock => ({
  id,
  form: 'sets',
  stations: [],
  sets: { all: 3 },
  restBetween: { all: 60 },
  restStations: { all: 60 },
})
