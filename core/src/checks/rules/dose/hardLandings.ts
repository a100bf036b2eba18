import { landed } from '../../landed.ts'
import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** More hard landings than a session for that age begins with: from a height, on one leg for distance, with the knees drawn up. */
export const hardLandings: Rule = {
  id: 'hard-landings',
  level: 'look',
  family: 'dose',
  find: ({ lanes }) =>
    lanes.flatMap((lane) => {
      const { hard } = landed(lane)
      const most = limit('hardLandings', lane.band)
      return hard > most ? [{ where: {}, groups: [lane.group.id], facts: { landings: hard, most } }] : []
    }),
}
