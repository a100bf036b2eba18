import { changeBlock } from '../../session/edits/locate.ts'
import type { Block } from '../../session/forms.ts'
import type { Workout } from '../../session/schema.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Candidate, FixMaker } from './fix.ts'

/** A block with one lap, round or minute more for everybody. */
const longer = (workout: Workout, { id }: Block): Workout =>
  changeBlock(workout, id, (block) => traitsOf(block).oneMore?.(block) ?? block)

/** The game runs a minute longer, or there is one more go. */
export const lapMore: FixMaker = {
  id: 'lap-more',
  *candidates({ view }): Generator<Candidate> {
    const { workout } = view
    const order = ['game', 'main', 'challenge', 'skill']
    const blocks = workout.sections
      .filter((s) => order.includes(s.role))
      .sort((a, b) => order.indexOf(a.role) - order.indexOf(b.role))
      .flatMap((s) => s.blocks)
    for (const n of [1, 2, 3])
      for (const block of blocks) {
        let edited = workout
        for (let i = 0; i < n; i++) edited = longer(edited, block)
        if (JSON.stringify(edited) !== JSON.stringify(workout))
          yield { facts: { n, block: block.title ?? view.blocks.get(block.id)?.section.title ?? '' }, workout: edited }
      }
  },
}
