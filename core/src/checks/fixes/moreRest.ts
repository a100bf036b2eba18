import { changeBlock } from '../../session/edits/locate.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Candidate, FixMaker } from './fix.ts'

/** More rest in a timed block, in steps of five seconds. */
export const moreRest: FixMaker = {
  id: 'more-rest',
  *candidates({ view, finding, groups }): Generator<Candidate> {
    const block = finding.where.block ? view.blocks.get(finding.where.block)?.block : undefined
    const change = block && traitsOf(block).withLaps
    if (!block || !change) return
    for (const by of [5, 10, 15, 20, 30]) {
      const session = changeBlock(view.session, block.id, (b) =>
        change(b, groups, (lap) => ({ ...lap, rest: lap.rest + by })),
      )
      yield { facts: { seconds: by }, session }
    }
  },
}
