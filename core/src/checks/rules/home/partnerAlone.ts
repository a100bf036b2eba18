import { perStation, type Rule } from '../../rule.ts'

/** An exercise for two in a session done alone. */
export const partnerAlone: Rule = {
  id: 'partner-alone',
  level: 'look',
  family: 'home',
  find: (view) =>
    perStation(view, ({ version, obstacles }) => {
      const found = obstacles.find((o) => o.code === 'company')
      return found && { facts: { move: version.name } }
    }),
}
