import { obstacles } from '../../../home/obstacles.ts'
import { perStation, type Rule } from '../../rule.ts'

/** A thing the home does not have, with nothing in its place. */
export const kitMissing: Rule = {
  id: 'kit-missing',
  level: 'look',
  family: 'home',
  find: (view) =>
    perStation(view, ({ move, version }) => {
      const found = obstacles(move, version, view.workout.home, view.library).find((o) => o.code === 'kit')
      return (
        found && {
          facts: { move: version.name, kit: view.library.kit.get('kit' in found ? found.kit : '')?.name ?? '' },
        }
      )
    }),
}
