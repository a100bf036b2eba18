import { bandOf, limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** A heavier weight than this age starts with, in the hand or in the bag. */
export const loadTooHeavy: Rule = {
  id: 'load-too-heavy',
  level: 'look',
  family: 'care',
  find: (view) =>
    perStation(view, ({ cell, group, move, version }) => {
      const kg = cell.load?.kg
      const band = bandOf(group.grades)
      if (!kg || band === 0) return undefined
      const bag = (version.kit ?? move.kit).some((k) => k.id === 'school-bag') || !move.kit.length
      const most = limit(bag ? 'bagLoad' : 'handLoad', band)
      return kg > most ? { facts: { move: version.name, kg, most } } : undefined
    }),
}
