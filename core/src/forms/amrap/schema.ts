import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, stationsField, stretchSchema, travelSchema } from '../../session/blockParts.ts'

/** As many rounds as possible before the cap. */
export const amrapSchema = z.strictObject({
  ...blockFields,
  form: z.literal('amrap'),
  stations: stationsField,
  travel: travelSchema.optional(),
  cap: perGroupSchema(stretchSchema),
})
export interface AmrapBlock extends z.infer<typeof amrapSchema> {}

/** Eight minutes. */
export const newAmrap = (id: string): AmrapBlock => ({ id, form: 'amrap', stations: [], cap: { all: 480 } })
