import { z } from 'zod'
import { blockFields, countSchema, secondsSchema, stationsField } from '../../session/blockParts.ts'
import { perGroupSchema } from '../../terms/perGroup.ts'

/** Two take turns at every station: one works while the other rests, then they swap; then the next station. */
export const relaySchema = z.strictObject({
  ...blockFields,
  form: z.literal('relay'),
  stations: stationsField,
  rounds: perGroupSchema(countSchema),
  /** From one child's last rep to the other's first: a clap of hands, a thing handed over. */
  change: perGroupSchema(secondsSchema),
})
export interface RelayBlock extends z.infer<typeof relaySchema> {}

/** Two rounds, three seconds to swap. */
export const newRelay = (id: string): RelayBlock => ({
  id,
  form: 'relay',
  stations: [],
  rounds: { all: 2 },
  change: { all: 3 },
})
