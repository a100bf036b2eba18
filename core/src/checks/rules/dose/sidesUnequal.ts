import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'

/** Over the whole session, one side of an exercise gets more than the other. */
export const sidesUnequal: Rule = {
  id: 'sides-unequal',
  level: 'look',
  family: 'dose',
  find: (view) =>
    perLane(view, ({ steps, band }) => {
      const sides = new Map<string, { name: string; first: number; second: number }>()
      for (const { kind, doing, side, seconds } of steps) {
        if (kind !== 'work' || !doing || !side) continue
        const sum = sides.get(doing.move.id) ?? { name: doing.move.name, first: 0, second: 0 }
        sum[side] += seconds.typical
        sides.set(doing.move.id, sum)
      }
      const uneven = [...sides.values()].find(
        ({ first, second }) => Math.abs(first - second) > limit('sidesApart', band),
      )
      if (!uneven) return undefined
      return { facts: { move: uneven.name, first: Math.round(uneven.first), second: Math.round(uneven.second) } }
    }),
}
