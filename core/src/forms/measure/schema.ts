import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, testSchema } from '../../session/blockParts.ts'

/** A measurement: the pulse by fingers, sit and reach, a hold, reps in thirty seconds. */
export const measureSchema = z.strictObject({
  ...blockFields,
  form: z.literal('measure'),
  test: testSchema,
  trials: perGroupSchema(z.int().min(1).max(5)),
  moment: z.enum(['before', 'after', 'alone']),
})
export interface MeasureBlock extends z.infer<typeof measureSchema> {}

/** The pulse, once. */
export const newMeasure = (id: string): MeasureBlock => ({
  id,
  form: 'measure',
  test: 'pulse',
  trials: { all: 1 },
  moment: 'alone',
})
