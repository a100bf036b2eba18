import { limits } from '../../base/limits.ts'
import { minuteLess } from '../../session/less.ts'
import { mapGroups } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { CallsBlock } from './schema.ts'

/** A caller calls. */
export const callsTraits: FormTraits<CallsBlock> = {
  ...plainTraits,
  raced: true,
  oneLess: (block, scope) => ({ ...block, seconds: mapGroups(block.seconds, scope, minuteLess) }),
  oneMore: (block) => ({ ...block, seconds: mapGroups(block.seconds, 'all', (n) => Math.min(n + 60, limits.seconds)) }),
}
