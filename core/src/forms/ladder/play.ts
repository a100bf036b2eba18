import type { PlayFor } from '../../publication/playFor.ts'
import { rungsFor, type LadderBlock } from './schema.ts'

/** The rungs are shown. */
export const ladderPlay: PlayFor<LadderBlock> = (block, { group }) => ({
  form: 'ladder',
  rungs: rungsFor(block, group.id),
})
