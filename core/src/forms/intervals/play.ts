import type { PlayFor } from '../../publication/playFor.ts'
import type { IntervalsBlock } from './schema.ts'

/** If only some stations are picked, the child picks them. */
export const intervalsPlay: PlayFor<IntervalsBlock> = (block, { own, turn }) => {
  const pick = block.pick && own(block.pick)
  return pick && pick < block.stations.length ? { form: 'intervals', pick, turns: block.stations.map(turn) } : undefined
}
