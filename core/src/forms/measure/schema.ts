import { z } from 'zod'
import { idSchema } from '../../base/id.ts'
import { testSchema } from '../../terms/measure.ts'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields } from '../../session/blockParts.ts'

/** A measurement: one of the library's tests. */
export const measureSchema = z.strictObject({
  ...blockFields,
  form: z.literal('measure'),
  test: testSchema,
  trials: perGroupSchema(z.int().min(1).max(5)),
  moment: z.enum(['before', 'after', 'alone']),
  /** Which of the test's set-ups; its first by default. */
  setUp: idSchema.optional(),
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
