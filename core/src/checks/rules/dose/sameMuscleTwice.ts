import { circuits } from '../../neighbours.ts'
import type { Found, Rule } from '../../rule.ts'

/** Two neighboring stations of a circuit work the same muscle, which is not the aim. */
export const sameMuscleTwice: Rule = {
  id: 'same-muscle-twice',
  level: 'note',
  family: 'dose',
  find: (view) => {
    const found = new Map<string, Found>()
    for (const { block, rows } of circuits(view))
      rows.forEach((row, i) => {
        const next = rows[i + 1]
        if (!next) return
        const shared = row.move.muscles.main.filter(
          (id) => next.move.muscles.main.includes(id) && id !== view.session.aim.muscle,
        )
        // Strength work tires a muscle; hopping and running use the calves all day without harm.
        const works = [row, next].every(
          ({ move }) => !['stretch', 'breathe', 'balance', 'travel', 'jump', 'game'].includes(move.family),
        )
        if (!shared.length || !works) return
        const muscle = view.library.muscles.get(shared[0]!)?.name ?? shared[0]!
        const one = found.get(block.id)
        if (one) {
          if (!one.groups.includes(row.group.id)) one.groups.push(row.group.id)
        } else
          found.set(block.id, {
            where: { section: row.section.id, block: block.id, station: next.station.id },
            groups: [row.group.id],
            facts: { first: row.move.name, second: next.move.name, muscle },
          })
      })
    return [...found.values()]
  },
}
