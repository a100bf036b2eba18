import { changeBlock } from '../../session/edits/locate.ts'
import type { Block } from '../../session/forms.ts'
import type { Workout } from '../../session/schema.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Candidate, FixMaker } from './fix.ts'

/** A block with one lap, round, set or minute less for some groups; the same session where it has none to give. */
const shorter = (workout: Workout, { id }: Block, groups: readonly string[]): Workout =>
  changeBlock(workout, id, (block) => traitsOf(block).oneLess?.(block, groups) ?? block)

/** The blocks that may give, those of main parts first, a game last of all. */
const giving = ({ sections }: Workout): Block[] => {
  const order = ['main', 'challenge', 'skill', 'warmUp', 'test', 'coolDown', 'brief', 'game']
  return [...sections]
    .sort((a, b) => order.indexOf(a.role) - order.indexOf(b.role))
    .flatMap((section) => section.blocks)
}

/** One lap, round, set or minute less; where that is not enough, two, then one in every block. */
export const lapLess: FixMaker = {
  id: 'lap-less',
  *candidates({ view, finding, groups }): Generator<Candidate> {
    const { workout } = view
    const section = finding.where.section
    const about = giving(workout).filter((b) => !section || view.blocks.get(b.id)?.section.id === section)
    const blocks = about.length && finding.rule === 'section-over' ? about : giving(workout)
    // Lanes that are to finish together are shortened one by one.
    const scopes = finding.rule === 'lanes-apart' ? groups.map((id) => [id]) : [groups]
    for (const n of [1, 2, 3])
      for (const [scope, block] of scopes.flatMap((one) => blocks.map((b) => [one, b] as const))) {
        let edited = workout
        for (let i = 0; i < n; i++) edited = shorter(edited, block, scope)
        if (JSON.stringify(edited) !== JSON.stringify(workout))
          yield { facts: { n, block: block.title ?? view.blocks.get(block.id)?.section.title ?? '' }, workout: edited }
      }
  },
}
