import { traitsOf } from '../../session/formTraits.ts'
import type { Role } from '../../session/schema.ts'
import type { Candidate, FixMaker } from './fix.ts'
import { blocksOf, resized } from './resized.ts'

/** Which sections may be shortened: main sections first, a game last. */
const giving: readonly Role[] = ['main', 'challenge', 'skill', 'warmUp', 'test', 'coolDown', 'brief', 'game']

/** One lap, round, set or minute less in one block; if that is not enough, two, then three. */
export const lapLess: FixMaker = {
  id: 'lap-less',
  *candidates({ view, finding, groups }): Generator<Candidate> {
    const blocks = blocksOf(view, giving).filter(
      ({ id }) => finding.rule !== 'section-over' || view.blocks.get(id)?.section.id === finding.where.section,
    )
    // Lanes that are to finish together are shortened one by one.
    const scopes = finding.rule === 'lanes-apart' ? groups.map((id) => [id]) : [groups]
    for (const scope of scopes)
      yield* resized(view, blocks, (block) => traitsOf(block).oneLess?.(block, scope) ?? block)
  },
}
