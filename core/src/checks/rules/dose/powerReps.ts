import { typicalAmount } from '../../../terms/dose.ts'
import { traitsOf } from '../../../session/formTraits.ts'
import { limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** Full-effort or hard jumps in sets so long that the last are no jumps any more. */
export const powerReps: Rule = {
  id: 'power-reps',
  level: 'look',
  family: 'dose',
  find: (view) =>
    perStation(view, ({ block, cell, version }) => {
      if (!traitsOf(block).sets || cell.dose?.unit !== 'reps') return undefined
      const full = version.impact === 1 || (version.hard && version.impact >= limit('hardImpact', 0))
      const reps = typicalAmount(cell.dose.amount)
      const most = limit('powerReps', 0)
      return full && reps > most ? { facts: { move: version.name, reps, most } } : undefined
    }),
}
