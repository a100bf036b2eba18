import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'

/** More exercises new to the class than it takes in at once, without an explanation. */
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
