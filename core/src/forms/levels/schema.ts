import { z } from 'zod'
import { limits } from '../../base/limits.ts'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, stationsField, stretchSchema } from '../../session/blockParts.ts'

const levelSchema = z.int().min(1).max(limits.stations)

/** A skill ladder: the stations are its levels, from easiest to hardest. */
export const levelsSchema = z.strictObject({
  ...blockFields,
  form: z.literal('levels'),
  stations: stationsField,
  /** The first and the last level of each group, from 1. */
  from: perGroupSchema(levelSchema),
  to: perGroupSchema(levelSchema),
  /** At each level. */
  seconds: perGroupSchema(stretchSchema),
  /** The last station is a bonus for children who finished the others. */
  bonus: z.boolean(),
})
export interface LevelsBlock extends z.infer<typeof levelsSchema> {}

/** Levels 1 to 3, a minute each. */
export const newLevels = (id: string): LevelsBlock => ({
  id,
  form: 'levels',
  stations: [],
  from: { all: 1 },
  to: { all: 3 },
  seconds: { all: 60 },
  bonus: false,
})
