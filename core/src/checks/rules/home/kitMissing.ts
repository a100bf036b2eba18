import { perStation, type Rule } from '../../rule.ts'

/** Equipment the home doesn't have, without a replacement. */
export const kitMissing: Rule = {
  id: 'kit-missing',
  level: 'look',
  family: 'home',
  find: (view) =>
    perStation(view, ({ version, obstacles }) => {
      const { home } = view.session
      const missing = obstacles.find((o) => o.code === 'kit' && !(o.real && home.standIns[o.kit]))
      if (missing?.code !== 'kit') return undefined
      return { facts: { move: version.name, kit: view.library.kit.get(missing.kit)?.name ?? missing.kit } }
    }),
}
