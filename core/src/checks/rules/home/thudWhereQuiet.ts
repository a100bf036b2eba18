import { obstacles } from '../../../home/obstacles.ts'
import { perStation, type Rule } from '../../rule.ts'

/** A landing that is heard where somebody lives below. */
export const thudWhereQuiet: Rule = {
  id: 'thud-where-quiet',
  level: 'look',
  family: 'home',
  find: (view) =>
    perStation(view, ({ move, version }) => {
      const found = obstacles(move, version, view.workout.home, view.library).find((o) => o.code === 'noise')
      return found && { facts: { move: version.name } }
    }),
}
