import { obstacles } from '../../../home/obstacles.ts'
import { perStation, type Rule } from '../../rule.ts'

/** More floor than the home has. */
export const floorTooSmall: Rule = {
  id: 'floor-too-small',
  level: 'look',
  family: 'home',
  find: (view) =>
    perStation(view, ({ move, version }) => {
      const found = obstacles(move, version, view.workout.home, view.library).find((o) => o.code === 'space')
      return found && { facts: { move: version.name, needs: 'needs' in found ? found.needs : '' } }
    }),
}
