import type { Candidate, FixMaker } from './fix.ts'
import { canBeAdded, withCoolDownRow } from './newRow.ts'

/** One more stretch in the cool-down, for the muscle that worked longest. */
export const stretchIt: FixMaker = {
  id: 'stretch-it',
  *candidates(fixing): Generator<Candidate> {
    const muscle = String(fixing.finding.facts.muscle)
    for (const move of fixing.view.library.moves.values())
      if (move.family === 'stretch' && !move.measures.includes('reps') && move.stretches?.includes(muscle))
        if (canBeAdded(fixing, move)) yield { facts: { move: move.name }, session: withCoolDownRow(fixing, move) }
  },
}
