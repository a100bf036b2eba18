import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, secondsSchema, stationsField, travelSchema } from '../../session/blockParts.ts'

/** One exercise after the other, each with its amount. */
export const listSchema = z.strictObject({
  ...blockFields,
  form: z.literal('list'),
  stations: stationsField,
  travel: travelSchema.optional(),
  /** Seconds of rest between stations; not after the last. */
  restAfter: perGroupSchema(secondsSchema),
})
export interface ListBlock extends z.infer<typeof listSchema> {}

/** A new list without stations or rests. */
export const newList = (id: string): ListBlock => ({ id, form: 'list', stations: [], restAfter: { all: 0 } })
