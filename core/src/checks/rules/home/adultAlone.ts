import { perStation, type Rule } from '../../rule.ts'

/** A version that needs an adult near, in a session done alone. */
export const adultAlone: Rule = {
  id: 'adult-alone',
  level: 'look',
  family: 'home',
  find: (view) =>
    perStation(view, ({ version, obstacles }) => {
      const found = obstacles.find((o) => o.code === 'adult')
      return found && { facts: { move: version.name } }
    }),
}
