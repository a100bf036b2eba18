import { costs, minutes, numberLever, type LeversFor } from '../../fit/lever.ts'
import type { GameBlock } from './schema.ts'

const levers = [
  numberLever<'game'>(
    'game',
    costs.game,
    (b) => b.seconds,
    (b, value) => ({ ...b, seconds: value }),
    minutes,
  ),
]

/** How long is played. */
export const gameLevers: LeversFor<GameBlock> = () => levers
