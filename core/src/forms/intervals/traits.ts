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
}
