import { changeBlock } from '../../session/edits/locate.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Candidate, FixMaker } from './fix.ts'

/** As long as they listen. */
export const shorterTalk: FixMaker = {
  id: 'shorter-talk',
  *candidates({ view, finding, groups }): Generator<Candidate> {
    const most = Number(finding.facts.most)
    for (const { block } of view.blocks.values()) {
      const atMost = traitsOf(block).talkAtMost
      if (atMost && (!finding.where.block || block.id === finding.where.block))
        yield { facts: { seconds: most }, session: changeBlock(view.session, block.id, (b) => atMost(b, groups, most)) }
    }
  },
}
