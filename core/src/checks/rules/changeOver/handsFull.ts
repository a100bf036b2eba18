import { perStation, type Rule } from '../../rule.ts'

/** A weight in the hands when the hands are needed on the wall or the floor. */
export const handsFull: Rule = {
  id: 'hands-full',
  level: 'look',
  family: 'changeOver',
  find: (view) =>
    perStation(view, ({ cell, move, version }) => {
      const hands = ['leaning', 'handsAndFeet'].includes(version.posture ?? move.posture)
      return cell.load?.kg && hands && !move.loadable ? { facts: { move: version.name, kg: cell.load.kg } } : undefined
    }),
}
