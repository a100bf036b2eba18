import { changeBlock } from '../../session/edits/locate.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Candidate, FixMaker } from './fix.ts'

/** Everybody finishes the side that a cap would cut in the middle. */
export const withoutCap: FixMaker = {
  id: 'without-cap',
  *candidates({ view }): Generator<Candidate> {
    for (const { section, block } of view.blocks.values()) {
      const { cap, withoutCap: uncapped } = traitsOf(block)
      const capped = cap && view.session.groups.some((group) => cap(block, group.id) !== undefined)
      if (!capped || !uncapped) continue
      const session = changeBlock(view.session, block.id, (b) => traitsOf(b).withoutCap!(b))
      yield { facts: { block: block.title ?? section.title }, session }
    }
  },
}
