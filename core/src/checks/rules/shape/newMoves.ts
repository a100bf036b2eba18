import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'

/** More moves the class has not been sent before than it takes in at once, and nobody explains. */
export const newMoves: Rule = {
  id: 'new-moves',
  level: 'note',
  family: 'shape',
  find: (view) => {
    const { known } = view.context
    if (!known?.size) return []
    return perLane(view, ({ steps, band }) => {
      if (steps.some((s) => s.kind === 'talk')) return undefined
      const met = new Map(
        steps.flatMap(({ doing }) => (doing && !known.has(doing.move.id) ? [[doing.move.id, doing.move.name]] : [])),
      )
      const most = limit('newMoves', band)
      return met.size > most ? { facts: { moves: met.size, most, names: [...met.values()].join(', ') } } : undefined
    })
  },
}
