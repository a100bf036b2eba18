import { amrapLevers } from '../forms/amrap/levers.ts'
import { callsLevers } from '../forms/calls/levers.ts'
import { chanceLevers } from '../forms/chance/levers.ts'
import { gameLevers } from '../forms/game/levers.ts'
import { intervalsLevers } from '../forms/intervals/levers.ts'
import { ladderLevers } from '../forms/ladder/levers.ts'
import { levelsLevers } from '../forms/levels/levers.ts'
import { listLevers } from '../forms/list/levers.ts'
import { roundsLevers } from '../forms/rounds/levers.ts'
import { relayLevers } from '../forms/relay/levers.ts'
import { setsLevers } from '../forms/sets/levers.ts'
import { talkLevers } from '../forms/talk/levers.ts'
import { targetLevers } from '../forms/target/levers.ts'
import type { Block, BlockOf, Form } from '../session/forms.ts'
import type { Lever, LeversFor } from './lever.ts'

/** The levers of each form; a form without has a length that nobody sets. */
const formLevers: { [F in Form]?: LeversFor<BlockOf<F>> } = {
  amrap: amrapLevers,
  calls: callsLevers,
  chance: chanceLevers,
  game: gameLevers,
  intervals: intervalsLevers,
  ladder: ladderLevers,
  levels: levelsLevers,
  list: listLevers,
  rounds: roundsLevers,
  relay: relayLevers,
  sets: setsLevers,
  talk: talkLevers,
  target: targetLevers,
}

/** The levers of a block; none for forms without a set length. */
export const leversOf = (block: Block): readonly Lever[] =>
  (formLevers[block.form] as LeversFor<Block> | undefined)?.(block) ?? []

/** The cost of leaving out an optional station. Ours. */
export const stationOutCost = 6
/** The extra cost of a change for one group only. Ours. */
export const ownCost = 2
