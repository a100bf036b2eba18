import { limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** A twist with a weight while sitting: the back rounds before it turns. */
export const loadedRoundTwist: Rule = {
  id: 'loaded-round-twist',
  level: 'look',
  family: 'care',
  find: (view) =>
    perStation(view, ({ cell, move, version }) => {
      const kg = cell.load?.kg ?? 0
      const sits = (version.posture ?? move.posture) === 'seated'
      return move.family === 'twist' && sits && kg > limit('twistLoad', 0)
        ? { facts: { move: version.name, kg } }
        : undefined
    }),
}
