import { limits } from '../../base/limits.ts'
import { minuteLess } from '../../session/less.ts'
import { mapGroups } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { GameBlock } from './schema.ts'

/** A game with rules of its own. */
export const gameTraits: FormTraits<GameBlock> = {
  ...plainTraits,
  oneLess: (block, scope) => ({ ...block, seconds: mapGroups(block.seconds, scope, minuteLess) }),
  oneMore: (block) => ({ ...block, seconds: mapGroups(block.seconds, 'all', (n) => Math.min(n + 60, limits.seconds)) }),
  said: ({ setUp, rules, harder }) => ({ setUp, rules, harder }),
  reworded: (block, field, text, at) =>
    field === 'harder'
      ? { ...block, harder: block.harder.flatMap((line, i) => (i === at ? (text ? [text] : []) : [line])) }
      : { ...block, [field]: text },
}
