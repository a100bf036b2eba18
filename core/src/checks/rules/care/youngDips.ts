import { perStation, type Rule } from '../../rule.ts'

/** Dips on something that replaces a chair. */
export const youngDips: Rule = {
  id: 'young-dips',
  level: 'look',
  family: 'care',
  find: (view) =>
    perStation(view, ({ move, version }) => {
      const standIn = view.session.home.standIns.chair
      return move.id === 'chair-dip' && standIn ? { facts: { move: version.name, standIn } } : undefined
    }),
}
