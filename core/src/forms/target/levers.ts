import { costs, numberLever, rounds, type LeversFor } from '../../fit/lever.ts'
import type { TargetBlock } from './schema.ts'

const levers = [
  numberLever<'target'>(
    'laps',
    costs.laps,
    (b) => b.rounds,
    (b, value) => ({ ...b, rounds: value }),
    rounds,
  ),
]

/** How many rounds are thrown. */
export const targetLevers: LeversFor<TargetBlock> = () => levers
