import { capLever, costs, numberLever, restLever, rounds, type LeversFor } from '../../fit/lever.ts'
import type { RoundsBlock } from './schema.ts'

const levers = [
  numberLever<'rounds'>(
    'laps',
    costs.laps,
    (b) => b.rounds,
    (b, value) => ({ ...b, rounds: value }),
    rounds,
  ),
  restLever<'rounds'>('rest', 'restStations'),
  restLever<'rounds'>('roundRest', 'restBetween'),
  capLever<'rounds'>(),
]

/** Rounds, the rests, the cap. */
export const roundsLevers: LeversFor<RoundsBlock> = () => levers
