import { ofGroup, valueFor } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { RoundsBlock } from './schema.ts'

/** A circuit by reps. */
export const roundsTraits: FormTraits<RoundsBlock> = {
  ...plainTraits,
  freeOrder: true,
  comesRound: (block, groupId) => valueFor(block.rounds, groupId) > 1,
  laps: (block, groupId) => ofGroup(block.rounds, groupId),
  dose: 'open',
  sets: (block, groupId) => valueFor(block.rounds, groupId),
  withoutCap: (block) => ({ ...block, cap: undefined }),
  cap: ({ cap }, groupId) => cap && valueFor(cap, groupId),
}
