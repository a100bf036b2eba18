import { traitsOf } from '../../../session/formTraits.ts'
import { limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** More sets with a weight than children need. */
export const loadedSets: Rule = {
  id: 'loaded-sets',
  level: 'look',
  family: 'dose',
  find: (view) =>
    perStation(view, ({ block, cell, group, version }) => {
      const { setsAtMost, sets: setsOf } = traitsOf(block)
      if (!setsAtMost || !setsOf || !cell.load?.kg) return undefined
      const sets = setsOf(block, group.id)
      const most = limit('loadedSets', 0)
      return sets > most ? { facts: { move: version.name, sets, most } } : undefined
    }),
}
