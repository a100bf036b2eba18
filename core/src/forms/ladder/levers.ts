import { costs, numberLever, restLever, type LeversFor } from '../../fit/lever.ts'
import type { LadderBlock } from './schema.ts'

/** The highest rung used to fill a session: few children do more well at home. Ours. */
const highestRung = 20

/** How high a ladder goes, rung by rung; one that starts at its top is left alone. */
const ladderTop = ({ from, by }: LadderBlock) =>
  numberLever<'ladder'>(
    'laps',
    costs.laps,
    (b) => b.to,
    (b, to) => ({ ...b, to }),
    { step: by, least: Math.max(from.all, ...Object.values(from.by ?? {})), most: highestRung },
  )
const ladderRest = restLever<'ladder'>('roundRest', 'restBetween')

/** Its top, and the rest between rungs. */
export const ladderLevers: LeversFor<LadderBlock> = (block) => [ladderTop(block), ladderRest]
