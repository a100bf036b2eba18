import { setBlock } from '../../session/edits/blocks.ts'
import { addSection } from '../../session/edits/sections.ts'
import type { FixMaker } from './fix.ts'

/** Seconds to explain an exercise, and the maximum at once (common practice, no source). */
const aMove = 8
const atMost = 45

/** A talk that shows the new exercises first. */
export const talkFirst: FixMaker = {
  id: 'talk-first',
  candidates: ({ view, finding, words }) => {
    const seconds = Math.min(atMost, aMove * Number(finding.facts.moves))
    const added = addSection(view.session, { role: 'brief', title: words.meetTheMoves, form: 'talk' }, null)
    const block = added.sections[0]!.blocks[0]!
    return [
      { facts: { seconds }, session: setBlock(added, block.id, 'talk', (b) => ({ ...b, seconds: { all: seconds } })) },
    ]
  },
}
