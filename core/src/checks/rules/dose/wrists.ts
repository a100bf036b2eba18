import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** Too long on the hands in a row. */
export const wrists: Rule = {
  id: 'wrists',
  level: 'note',
  family: 'dose',
  find: ({ lanes }) =>
    lanes.flatMap((lane) => {
      let inRow = 0
      let most = { seconds: 0, block: '', section: '' }
      for (const { kind, doing, seconds, block, section } of lane.steps) {
        if (kind === 'change' || kind === 'switch') continue
        const hands = kind === 'work' && doing && (doing.version.posture ?? doing.move.posture) === 'handsAndFeet'
        inRow = hands ? inRow + seconds.typical : 0
        if (inRow > most.seconds) most = { seconds: inRow, block, section }
      }
      if (most.seconds <= limit('onTheHands', lane.band)) return []
      const { section, block, seconds } = most
      return [
        {
          where: { section, block },
          groups: [lane.group.id],
          facts: { seconds: Math.round(seconds), most: limit('onTheHands', lane.band) },
        },
      ]
    }),
}
