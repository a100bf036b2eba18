import { stationsOf } from '../../session/forms.ts'
import type { Move, Version } from '../../terms/move.ts'
import type { Candidate, FixMaker, Fixing } from './fix.ts'
import { swapped } from './likeMove.ts'

/** Whether nothing has to be fetched for it. */
const needsNothing = (move: Move, version: Version): boolean => (version.kit ?? move.kit).every((k) => k.optional)

/** For a row that alone needs a thing: a similar exercise that needs none. */
export const likeWithout: FixMaker = {
  id: 'like-without',
  *candidates(fixing): Generator<Candidate> {
    const { view } = fixing
    const everybody: Fixing = { ...fixing, groups: view.session.groups.map(({ id }) => id) }
    for (const { section, block } of view.blocks.values())
      for (const station of stationsOf(block)) {
        const needs = view.cells.some(
          ({ station: { id }, move, version }) => id === station.id && !needsNothing(move, version),
        )
        if (!needs || station.storyName) continue
        const name = view.library.moves.get(station.cells.all.move)?.name ?? ''
        for (const found of swapped(everybody, { section, block, station }, needsNothing))
          yield { ...found, facts: { ...found.facts, before: name } }
      }
  },
}
