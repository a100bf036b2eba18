import { traitsOf } from '../../session/formTraits.ts'
import type { FixMaker } from './fix.ts'
import { blocksOf, resized } from './resized.ts'

/** The game lasts a minute longer, or there is one more turn. */
export const lapMore: FixMaker = {
  id: 'lap-more',
  candidates: ({ view }) =>
    resized(
      view,
      blocksOf(view, ['game', 'main', 'challenge', 'skill']),
      (block) => traitsOf(block).oneMore?.(block) ?? block,
    ),
}
