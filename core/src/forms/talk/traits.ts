import { mapGroups } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { TalkBlock } from './schema.ts'

/** An explanation comes before what it explains. */
export const talkTraits: FormTraits<TalkBlock> = {
  ...plainTraits,
  explains: true,
  talkAtMost: (block, scope, most) => ({
    ...block,
    seconds: mapGroups(block.seconds, scope, (n) => Math.min(n, most)),
  }),
}
