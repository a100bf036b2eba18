import { perStation, type Rule } from '../../rule.ts'

/** A landing that people below can hear. */
export const thudWhereQuiet: Rule = {
  id: 'thud-where-quiet',
  level: 'look',
  family: 'home',
  find: (view) =>
    perStation(view, ({ version, obstacles }) => {
      const found = obstacles.find((o) => o.code === 'noise')
      return found && { facts: { move: version.name } }
    }),
}
