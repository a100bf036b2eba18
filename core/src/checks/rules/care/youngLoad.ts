import { limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'

/** A weight for the youngest: nothing under 300 g; advice up to a kilogram without an adult near; a fix above that or overhead. */
export const youngLoad: Rule = {
  id: 'young-load',
  level: 'stop',
  family: 'care',
  find: (view) =>
    perStation(view, ({ cell, group, move, version }) => {
      const kg = cell.load?.kg
      if (kg === undefined || Math.min(...group.grades) > 1 || kg < limit('youngLoadLook', 0)) return undefined
      const facts = { move: version.name, kg }
      if (kg > limit('youngLoadStop', 0) || move.height) return { facts }
      return view.session.home.company === 'alone' ? { level: 'look', facts } : undefined
    }),
}
