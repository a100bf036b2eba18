import { costs, numberLever, restLever, rounds, type LeversFor } from '../../fit/lever.ts'
import type { SetsBlock } from './schema.ts'

const levers = [
  numberLever<'sets'>(
    'laps',
    costs.laps,
    (b) => b.sets,
    (b, value) => ({ ...b, sets: value }),
    rounds,
  ),
  restLever<'sets'>('rest', 'restBetween'),
  restLever<'sets'>('roundRest', 'restStations'),
]

/** Sets and the rests. */
export const setsLevers: LeversFor<SetsBlock> = () => levers
