import { costs, numberLever, rounds, type LeversFor } from '../../fit/lever.ts'
import type { RelayBlock } from './schema.ts'

const levers = [
  numberLever<'relay'>(
    'laps',
    costs.laps,
    (b) => b.rounds,
    (b, value) => ({ ...b, rounds: value }),
    rounds,
  ),
]

/** Its rounds. */
export const relayLevers: LeversFor<RelayBlock> = () => levers
