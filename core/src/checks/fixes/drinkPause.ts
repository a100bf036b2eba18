import { addSection } from '../../session/edits/sections.ts'
import { setBlock } from '../../session/edits/blocks.ts'
import { changeBlock } from '../../session/edits/locate.ts'
import { traitsOf } from '../../session/formTraits.ts'
import { limit } from '../limits.ts'
import type { Candidate, FixMaker } from './fix.ts'

/** A pause to drink: the rest between laps, if it is long enough, otherwise one between two parts. */
export const drinkPause: FixMaker = {
  id: 'drink-pause',
  *candidates({ view, words }): Generator<Candidate> {
    const { session } = view
    const middle = session.sections.length / 2
    const places = session.sections
      .slice(0, -1)
      .map((section, i) => ({ section, off: Math.abs(i + 1 - middle) }))
      .sort((a, b) => a.off - b.off)
    const seconds = limit('drinkPause', 0)
    for (const { block } of view.blocks.values())
      if (traitsOf(block).pauseOf)
        yield { facts: { seconds }, session: changeBlock(session, block.id, (b) => traitsOf(b).pauseOf!(b, seconds)) }
    for (const { section } of places) {
      const added = addSection(session, { role: 'brief', title: words.drink, form: 'talk' }, section.id)
      const at = added.sections.findIndex((s) => s.id === section.id) + 1
      const block = added.sections[at]!.blocks[0]!
      yield {
        facts: { seconds },
        session: setBlock(added, block.id, 'talk', (b) => ({ ...b, seconds: { all: seconds } })),
      }
    }
  },
}
