import { landed } from '../../landed.ts'
import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** More full landings than a session for that age begins with. */
export const landings: Rule = {
  id: 'landings',
  level: 'look',
  family: 'dose',
  find: ({ lanes }) =>
    lanes.flatMap((lane) => {
      const { full } = landed(lane)
      const most = limit('landings', lane.band)
      return full > most ? [{ where: {}, groups: [lane.group.id], facts: { landings: full, most } }] : []
    }),
}
