import { perStation, type Rule } from '../../rule.ts'

/** Needs more floor space than the home has. */
export const floorTooSmall: Rule = {
  id: 'floor-too-small',
  level: 'look',
  family: 'home',
  find: (view) =>
    perStation(view, ({ version, obstacles }) => {
      const found = obstacles.find((o) => o.code === 'space')
      return found && { facts: { move: version.name, needs: 'needs' in found ? found.needs : '' } }
    }),
}
