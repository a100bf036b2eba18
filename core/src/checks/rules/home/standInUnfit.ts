import { perStation, type Rule } from '../../rule.ts'

/** A replacement for a thing that must be real here: a door for a wall to walk up. */
export const standInUnfit: Rule = {
  id: 'stand-in-unfit',
  level: 'stop',
  family: 'home',
  find: (view) =>
    perStation(view, ({ version, obstacles }) => {
      const { home } = view.session
      const unfit = obstacles.find((o) => o.code === 'kit' && o.real && home.standIns[o.kit])
      if (unfit?.code !== 'kit') return undefined
      const kit = view.library.kit.get(unfit.kit)?.name ?? unfit.kit
      return { facts: { move: version.name, kit, standIn: home.standIns[unfit.kit]! } }
    }),
}
