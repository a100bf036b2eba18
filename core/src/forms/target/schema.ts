import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, countSchema } from '../../session/blockParts.ts'

export const targetSchemaEntry = z.strictObject({
  /** How far away, in metres. */
  metres: z.number().min(0.5).max(10),
  points: z.int().min(1).max(20),
})

/** Throwing at targets: easier if nearer, harder if smaller. */
export const targetSchema = z.strictObject({
  ...blockFields,
  form: z.literal('target'),
  targets: z.array(targetSchemaEntry).min(1).max(8),
  throws: perGroupSchema(countSchema),
  rounds: perGroupSchema(countSchema),
})
export interface TargetBlock extends z.infer<typeof targetSchema> {}

/** Five throws, three rounds, at one, two and three meters. */
export const newTarget = (id: string): TargetBlock => ({
  id,
  form: 'target',
  targets: [
    { metres: 1, points: 1 },
    { metres: 2, points: 2 },
    { metres: 3, points: 3 },
  ],
  throws: { all: 5 },
  rounds: { all: 3 },
})
