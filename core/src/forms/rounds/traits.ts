import { oneLess } from '../../session/less.ts'
import { limits } from '../../base/limits.ts'
import { mapGroups } from '../../terms/perGroup.ts'
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
  circuit: true,
  oneLess: (block, scope) => ({ ...block, rounds: mapGroups(block.rounds, scope, oneLess) }),
  oneMore: (block) => ({ ...block, rounds: mapGroups(block.rounds, 'all', (n) => Math.min(n + 1, limits.laps)) }),
  pauseOf: (block, seconds) => ({
    ...block,
    restBetween: mapGroups(block.restBetween, 'all', (n) => Math.max(n, seconds)),
  }),
}
