import { landed } from '../../landed.ts'
import { overLimit } from '../../overLimit.ts'
import type { Rule } from '../../rule.ts'

/** More hard landings than a session for this age starts with: from a height, far on one leg, with knees drawn up. */
export const hardLandings: Rule = {
  id: 'hard-landings',
  level: 'look',
  family: 'dose',
  find: ({ lanes }) => overLimit(lanes, 'hardLandings', 'landings', (lane) => ({ n: landed(lane).hard })),
}
