import { mapGroups } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import { rungsFor, type LadderBlock } from './schema.ts'

/** Rungs: the dose is the rung's number. */
export const ladderTraits: FormTraits<LadderBlock> = {
  ...plainTraits,
  freeOrder: true,
  comesRound: () => true,
  laps: (block, groupId) => rungsFor(block, groupId ?? '').length,
  lapWord: 'top',
  oneLess: (block, scope) =>
    block.rungs ? block : { ...block, to: mapGroups(block.to, scope, (n) => Math.max(1, n - block.by)) },
}
