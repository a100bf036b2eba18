import {
  costs,
  fieldLever,
  restLever,
  rests,
  rounds,
  turned,
  works,
  type Bounds,
  type LeversFor,
} from '../../fit/lever.ts'
import type { IntervalsBlock, Lap } from './schema.ts'

const laps = fieldLever<'intervals', Lap[]>(
  'laps',
  costs.laps,
  (b) => b.laps,
  (b, value) => ({ ...b, laps: value }),
  (list) => list.length,
  (list, steps) => {
    const n = turned(list.length, steps, rounds)
    if (n === undefined) return undefined
    return n <= list.length ? list.slice(0, n) : [...list, ...Array<Lap>(n - list.length).fill(list.at(-1)!)]
  },
)

/** Changes the work or the rest of every lap. */
const everyLap = (kind: 'work' | 'rest', bounds: Bounds) =>
  fieldLever<'intervals', Lap[]>(
    kind,
    costs[kind],
    (b) => b.laps,
    (b, value) => ({ ...b, laps: value }),
    (list) => list[0]?.[kind] ?? 0,
    (list, steps) => {
      const next = list.map((lap) => ({ ...lap, [kind]: turned(lap[kind], steps, bounds) }))
      return next.every((lap) => lap[kind] !== undefined) ? (next as Lap[]) : undefined
    },
  )

const levers = [laps, everyLap('work', works), everyLap('rest', rests), restLever<'intervals'>('roundRest', 'lapRest')]

/** Laps, the work and rest of each, and the rest between laps. */
export const intervalsLevers: LeversFor<IntervalsBlock> = () => levers
