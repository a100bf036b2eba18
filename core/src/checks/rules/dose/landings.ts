import { landed } from '../../landed.ts'
import { overLimit } from '../../overLimit.ts'
import type { Rule } from '../../rule.ts'

/** More full landings than a session for this age starts with. */
export const landings: Rule = {
  id: 'landings',
  level: 'look',
  family: 'dose',
  find: ({ lanes }) => overLimit(lanes, 'landings', 'landings', (lane) => ({ n: landed(lane).full })),
}
