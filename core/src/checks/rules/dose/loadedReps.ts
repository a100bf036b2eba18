import { typicalAmount } from '../../../terms/dose.ts'
import { limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** Fewer than six or more than fifteen reps with a weight. */
export const loadedReps: Rule = {
  id: 'loaded-reps',
  level: 'look',
  family: 'dose',
  find: (view) =>
    perStation(view, ({ cell, version }) => {
      if (!cell.load?.kg || cell.dose?.unit !== 'reps') return undefined
      const reps = typicalAmount(cell.dose.amount)
      const [least, most] = [limit('loadedLeast', 0), limit('loadedMost', 0)]
      return reps < least || reps > most ? { facts: { move: version.name, reps, least, most } } : undefined
    }),
}
