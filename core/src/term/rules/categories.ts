import { categories as all } from '../../terms/move.ts'
import type { TermRule } from '../termRule.ts'

/** From this many days, every kind of movement is expected. Ours. */
const from = 8

/** A kind of movement that the term does not have. */
export const categories: TermRule = {
  id: 'categories',
  level: 'note',
  find: ({ days }) => {
    if (days.length < from) return []
    const held = new Set(days.flatMap((d) => d.session.categories))
    return all.filter((category) => !held.has(category)).map((category) => ({ category }))
  },
}
