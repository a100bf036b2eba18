import { bandOf, limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** A weight above the head or the face for grades 2 and 3. The youngest have a rule of their own; the older have limits on loads. */
export const overheadLoad: Rule = {
  id: 'overhead-load',
  level: 'stop',
  family: 'care',
  find: (view) =>
    perStation(view, ({ cell, group, move, version }) => {
      const kg = cell.load?.kg
      if (!kg || !move.height || bandOf(group.grades) !== 1) return undefined
      const lying = (version.posture ?? move.posture) === 'lyingBack'
      const facts = { move: version.name, kg }
      return kg > limit('overheadFree', 1) || lying ? { facts } : { level: 'look', facts }
    }),
}
