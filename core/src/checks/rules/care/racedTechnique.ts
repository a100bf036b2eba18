import { traitsOf } from '../../../session/formTraits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** A weight is lifted against the clock, where only the number counts. */
export const racedTechnique: Rule = {
  id: 'raced-technique',
  level: 'look',
  family: 'care',
  find: (view) =>
    perStation(view, ({ block, cell, move, version }) => {
      const { raced } = traitsOf(block)
      const technical = ['hinge', 'squat', 'lunge', 'push', 'pull'].includes(move.family)
      return raced && technical && cell.load?.kg ? { facts: { move: version.name } } : undefined
    }),
}
