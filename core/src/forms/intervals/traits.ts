import { limits } from '../../base/limits.ts'
import { mapGroups } from '../../terms/perGroup.ts'
import { ofGroup, valueFor } from '../../terms/perGroup.ts'
import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { IntervalsBlock } from './schema.ts'

/** Laps by the clock. */
export const intervalsTraits: FormTraits<IntervalsBlock> = {
  ...plainTraits,
  freeOrder: true,
  comesRound: (block, groupId) => valueFor(block.laps, groupId).length > 1,
  laps: (block, groupId) => ofGroup(block.laps, groupId).length,
  lapWord: 'laps',
  dose: 'clock',
  clock: (block, groupId) => ({
    laps: valueFor(block.laps, groupId),
    lapRest: block.lapRest && valueFor(block.lapRest, groupId),
    pick: block.pick && valueFor(block.pick, groupId),
    twoSlots: block.sideSlots === 2,
  }),
  circuit: true,
  // A single lap with ten seconds of work.
  oneLess: (block, scope) => ({
    ...block,
    laps: mapGroups(block.laps, scope, (laps) =>
      laps.length > 1 ? laps.slice(0, -1) : laps.map((lap) => ({ ...lap, work: Math.max(10, lap.work - 10) })),
    ),
  }),
  oneMore: (block) => ({
    ...block,
    laps: mapGroups(block.laps, 'all', (laps) => (laps.length < limits.laps ? [...laps, laps.at(-1)!] : laps)),
  }),
  withLaps: (block, scope, change) => ({ ...block, laps: mapGroups(block.laps, scope, (laps) => laps.map(change)) }),
  pauseOf: (block, seconds) => ({
    ...block,
    lapRest: block.lapRest ? mapGroups(block.lapRest, 'all', (n) => Math.max(n, seconds)) : { all: seconds },
  }),
}
