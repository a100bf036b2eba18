import { limits } from '../../base/limits.ts'
import { costs, minutes, turned, type Bounds, type Lever, type LeversFor } from '../../fit/lever.ts'
import type { ChanceBlock } from './schema.ts'

type Stop = ChanceBlock['stop']

/** How long chance lasts, the same for all groups: a lever on its stopping number. */
const stopLever = (
  kind: 'cap' | 'draws',
  bounds: Bounds,
  read: (stop: Stop) => number,
  stop: (n: number) => Stop,
): Lever => ({
  kind,
  cost: costs[kind],
  whole: true,
  copy: (block) => block,
  read: (block) => read((block as ChanceBlock).stop),
  turn(block, _scope, steps) {
    const to = turned(read((block as ChanceBlock).stop), steps, bounds)
    return to === undefined ? undefined : { ...(block as ChanceBlock), stop: stop(to) }
  },
})
const drawsLever = stopLever(
  'draws',
  { step: 1, least: 2, most: limits.stations },
  (stop) => (stop.kind === 'draws' ? stop.draws : 0),
  (draws) => ({ kind: 'draws', draws }),
)
const timeLever = stopLever(
  'cap',
  minutes,
  (stop) => (stop.kind === 'seconds' ? stop.seconds : 0),
  (seconds) => ({ kind: 'seconds', seconds }),
)
/** What stops a block of chance; a sheet to be cleared has no lever. */
const byStop: Record<Stop['kind'], readonly Lever[]> = { draws: [drawsLever], seconds: [timeLever], cleared: [] }

/** Draws or minutes. */
export const chanceLevers: LeversFor<ChanceBlock> = (block) => byStop[block.stop.kind]
