import { oneLess } from '../../session/less.ts'
import { limits } from '../../base/limits.ts'
import { mapGroups } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import { ofGroup, valueFor } from '../../terms/perGroup.ts'
import type { RelayBlock } from './schema.ts'

/** A relay for two. */
export const relayTraits: FormTraits<RelayBlock> = {
  ...plainTraits,
  freeOrder: true,
  comesRound: (block, groupId) => valueFor(block.rounds, groupId) > 1,
  laps: (block, groupId) => ofGroup(block.rounds, groupId),
  dose: 'open',
  sets: (block, groupId) => valueFor(block.rounds, groupId),
  raced: true,
  oneLess: (block, scope) => ({ ...block, rounds: mapGroups(block.rounds, scope, oneLess) }),
  oneMore: (block) => ({ ...block, rounds: mapGroups(block.rounds, 'all', (n) => Math.min(n + 1, limits.laps)) }),
}
