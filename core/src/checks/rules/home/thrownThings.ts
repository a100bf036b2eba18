import { perStation, type Rule } from '../../rule.ts'
import { traitsOf } from '../../../session/formTraits.ts'
import { stationsOf } from '../../../session/forms.ts'

/** Things thrown for points lie around when the next station runs or jumps. */
export const thrownThings: Rule = {
  id: 'thrown-things',
  level: 'note',
  family: 'home',
  find: (view) =>
    perStation(view, ({ block, station, move, version }) => {
      const thrown = move.family === 'throwCatch' && !move.measures.includes('reps')
      if (!thrown || station.note || block.note || !traitsOf(block).circuit) return undefined
      const rows = stationsOf(block)
      const next = rows[(rows.findIndex((s) => s.id === station.id) + 1) % rows.length]!
      const { move: id } = next.cells.all
      const then = view.library.moves.get(id)
      if (next.id === station.id || !then || !['travel', 'jump'].includes(then.family)) return undefined
      return { facts: { move: version.name, next: then.name } }
    }),
}
