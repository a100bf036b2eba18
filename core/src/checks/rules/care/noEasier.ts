import { limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** A hard station whose version is the easiest, with no words for children who find it too hard. */
export const noEasier: Rule = {
  id: 'no-easier',
  level: 'note',
  family: 'care',
  find: (view) =>
    perStation(view, ({ section, station, move, version }) => {
      // A warm-up can be done as gently as the child likes.
      if (section.role === 'warmUp') return undefined
      const easiest = move.versions[0]!.id === version.id
      if (!easiest || station.easier || version.met < limit('easierFrom', 0) || move.family === 'game') return undefined
      return { facts: { move: version.name } }
    }),
}
