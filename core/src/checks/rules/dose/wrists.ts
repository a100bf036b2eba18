import { overLimit, type Amount } from '../../overLimit.ts'
import type { Rule } from '../../rule.ts'

/** Too long on the hands without a break. */
export const wrists: Rule = {
  id: 'wrists',
  level: 'note',
  family: 'dose',
  find: ({ lanes }) =>
    overLimit(lanes, 'onTheHands', 'seconds', ({ steps }) => {
      let inRow = 0
      let most: Amount = { n: 0 }
      for (const { kind, doing, seconds, block, section, station } of steps) {
        if (kind === 'change' || kind === 'switch') continue
        const hands = kind === 'work' && doing && (doing.version.posture ?? doing.move.posture) === 'handsAndFeet'
        inRow = hands ? inRow + seconds.typical : 0
        if (inRow > most.n) most = { n: inRow, where: { section, block, ...(station && { station }) } }
      }
      return most
    }),
}
