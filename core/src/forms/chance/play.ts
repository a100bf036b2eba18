import type { PlayFor } from '../../publication/playFor.ts'
import { chanceTable, roundsOfToss, type ChanceBlock } from './schema.ts'

/** The child draws, and the table shows the task. */
export const chancePlay: PlayFor<ChanceBlock> = (block, { turn }) => {
  const stop = block.device === 'toss' ? roundsOfToss(block.stop) : block.stop
  const most = stop.kind === 'seconds' ? stop.seconds : stop.kind === 'draws' ? stop.draws : undefined
  return {
    form: 'chance',
    device: block.device,
    stop: { kind: stop.kind, ...(most !== undefined && { most }) },
    oneByOne: block.turns === 'oneByOne',
    table: [...chanceTable(block)].map(([face, stations]) => ({ face, turns: stations.map(turn) })),
    seed: block.seed,
  }
}
