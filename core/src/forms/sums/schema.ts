import { z } from 'zod'
import { rule } from '../../base/problem.ts'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, seedSchema, stationsField } from '../../session/blockParts.ts'

export const operationsSchema = z.enum(['add', 'subtract', 'missing', 'double', 'times', 'divide', 'twoSteps'])
export type Operation = z.infer<typeof operationsSchema>

/** The answers' range. */
export const sumRangeSchema = z
  .strictObject({ from: z.int().min(1).max(100), to: z.int().min(1).max(100) })
  .refine((r) => r.from <= r.to, { path: ['to'], error: rule('notLessThanFrom'), params: { code: 'too-small' } })

/** Each station asks a sum; the answer is its dose. */
export const sumsSchema = z.strictObject({
  ...blockFields,
  form: z.literal('sums'),
  stations: stationsField,
  /** By default, the operations of each group's grades. */
  operations: z.array(operationsSchema).min(1).max(7).optional(),
  range: perGroupSchema(sumRangeSchema),
  unit: z.enum(['reps', 'seconds']),
  /** Every lane has the same answers, though the sums differ. */
  same: z.boolean(),
  seed: seedSchema,
})
export interface SumsBlock extends z.infer<typeof sumsSchema> {}

/** Answers from five to twelve. */
export const newSums = (id: string): SumsBlock => ({
  id,
  form: 'sums',
  stations: [],
  range: { all: { from: 5, to: 12 } },
  unit: 'reps',
  same: true,
  seed: 1,
})
