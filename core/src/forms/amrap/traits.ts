import { minuteLess } from '../../session/less.ts'
import { mapGroups } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { AmrapBlock } from './schema.ts'

/** Rounds until the time is over: the child reports how many. */
export const amrapTraits: FormTraits<AmrapBlock> = {
  ...plainTraits,
  freeOrder: true,
  comesRound: () => true,
  dose: 'open',
  timed: () => true,
  raced: true,
  oneLess: (block, scope) => ({ ...block, cap: mapGroups(block.cap, scope, minuteLess) }),
}
