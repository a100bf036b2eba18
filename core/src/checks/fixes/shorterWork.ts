import { changeBlock } from '../../session/edits/locate.ts'
import { traitsOf } from '../../session/formTraits.ts'
import { bandOf, limit } from '../limits.ts'
import type { Candidate, FixMaker } from './fix.ts'

/** Less timed work in a block: down to the age's limit, or in steps of five seconds. */
export const shorterWork: FixMaker = {
  id: 'shorter-work',
  *candidates({ view, finding, groups }): Generator<Candidate> {
    const block = finding.where.block ? view.blocks.get(finding.where.block)?.block : undefined
    const change = block && traitsOf(block).withLaps
    if (!block || !change) return
    const lines = new Map(view.session.groups.map((g) => [g.id, limit('workByClock', bandOf(g.grades))]))
    const lineOf = Math.min(...groups.map((id) => lines.get(id)!))
    for (const most of [lineOf, lineOf - 5, lineOf - 10, lineOf - 15, 20]) {
      const session = changeBlock(view.session, block.id, (b) =>
        change(b, groups, (lap) => ({ ...lap, work: Math.min(lap.work, most) })),
      )
      yield { facts: { seconds: most }, session }
    }
  },
}
