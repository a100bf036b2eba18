import type { Candidate, FixMaker } from './fix.ts'
import { canBeAdded, withCoolDownRow } from './newRow.ts'

/** The pose that bends the other way, in the cool-down. */
export const counterShape: FixMaker = {
  id: 'counter-shape',
  *candidates(fixing): Generator<Candidate> {
    const { view } = fixing
    const ids = new Set(view.cells.flatMap(({ move }) => move.counters ?? []))
    for (const id of ids) {
      const move = view.library.moves.get(id)
      if (move && canBeAdded(fixing, move)) yield { facts: { move: move.name }, session: withCoolDownRow(fixing, move) }
    }
  },
}
