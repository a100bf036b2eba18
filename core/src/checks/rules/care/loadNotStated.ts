import { perStation, type Rule } from '../../rule.ts'

/** A bag or a bottle is lifted without a stated weight. */
export const loadNotStated: Rule = {
  id: 'load-not-stated',
  level: 'note',
  family: 'care',
  find: (view) =>
    perStation(view, ({ cell, station, move, version }) => {
      const weights = (version.kit ?? move.kit).filter((k) => ['school-bag', 'bottle'].includes(k.id) && !k.optional)
      if (!move.loadable || !weights.length || cell.load || station.note) return undefined
      return { facts: { move: version.name } }
    }),
}
