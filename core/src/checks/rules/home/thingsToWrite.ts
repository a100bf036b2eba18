import { stationsOf } from '../../../session/forms.ts'
import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'

/** More results to write down than a child of that age manages. */
export const thingsToWrite: Rule = {
  id: 'things-to-write',
  level: 'note',
  family: 'home',
  find: (view) => {
    const results = [...view.blocks.values()].flatMap(({ block }) => stationsOf(block)).filter((s) => s.record).length
    return perLane(view, ({ band }) => {
      const most = limit('write', band)
      return results > most ? { facts: { results, most } } : undefined
    })
  },
}
