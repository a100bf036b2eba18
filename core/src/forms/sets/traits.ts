import { oneLess } from '../../session/less.ts'
import { mapGroups } from '../../terms/perGroup.ts'
import { ofGroup, valueFor } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { SetsBlock } from './schema.ts'

/** All sets of one exercise. */
export const setsTraits: FormTraits<SetsBlock> = {
  ...plainTraits,
  freeOrder: true,
  laps: (block, groupId) => ofGroup(block.sets, groupId),
  lapWord: 'sets',
  dose: 'open',
  sets: (block, groupId) => valueFor(block.sets, groupId),
  oneLess: (block, scope) => ({ ...block, sets: mapGroups(block.sets, scope, oneLess) }),
  setsAtMost: (block, scope, most) => ({ ...block, sets: mapGroups(block.sets, scope, (n) => Math.min(n, most)) }),
}
