import { landed } from '../../landed.ts'
import { overLimit } from '../../overLimit.ts'
import type { Rule } from '../../rule.ts'

/** More hard landings than a session for that age begins with: from a height, on one leg for distance, with the knees drawn up. */
export const hardLandings: Rule = {
  id: 'hard-landings',
  level: 'look',
  family: 'dose',
  find: ({ lanes }) => overLimit(lanes, 'hardLandings', 'landings', (lane) => ({ n: landed(lane).hard })),
}
