import { z } from 'zod'
import type { Station } from './station.ts'
import { newAmrap, amrapSchema, type AmrapBlock } from '../forms/amrap/schema.ts'
import { newCalls, callsSchema, type CallsBlock } from '../forms/calls/schema.ts'
import { newChance, chanceSchema, type ChanceBlock } from '../forms/chance/schema.ts'
import { newGame, gameSchema, type GameBlock } from '../forms/game/schema.ts'
import { newIntervals, intervalsSchema, type IntervalsBlock } from '../forms/intervals/schema.ts'
import { newLadder, ladderSchema, type LadderBlock } from '../forms/ladder/schema.ts'
import { newLevels, levelsSchema, type LevelsBlock } from '../forms/levels/schema.ts'
import { newList, listSchema, type ListBlock } from '../forms/list/schema.ts'
import { newMeasure, measureSchema, type MeasureBlock } from '../forms/measure/schema.ts'
import { newQuiz, quizSchema, type QuizBlock } from '../forms/quiz/schema.ts'
import { newRelay, relaySchema, type RelayBlock } from '../forms/relay/schema.ts'
import { newRounds, roundsSchema, type RoundsBlock } from '../forms/rounds/schema.ts'
import { newSets, setsSchema, type SetsBlock } from '../forms/sets/schema.ts'
import { newSums, sumsSchema, type SumsBlock } from '../forms/sums/schema.ts'
import { newTalk, talkSchema, type TalkBlock } from '../forms/talk/schema.ts'
import { newTarget, targetSchema, type TargetBlock } from '../forms/target/schema.ts'

/** A block is one form of work. To add a form, add one schema file and list it here. */
export const blockSchema: z.ZodType<Block> = z.discriminatedUnion('form', [
  talkSchema,
  listSchema,
  intervalsSchema,
  roundsSchema,
  setsSchema,
  relaySchema,
  amrapSchema,
  ladderSchema,
  chanceSchema,
  callsSchema,
  sumsSchema,
  levelsSchema,
  targetSchema,
  gameSchema,
  measureSchema,
  quizSchema,
])
export type Block =
  | AmrapBlock
  | CallsBlock
  | ChanceBlock
  | GameBlock
  | IntervalsBlock
  | LadderBlock
  | LevelsBlock
  | ListBlock
  | MeasureBlock
  | QuizBlock
  | RelayBlock
  | RoundsBlock
  | SetsBlock
  | SumsBlock
  | TalkBlock
  | TargetBlock
export type Form = Block['form']
export type BlockOf<F extends Form> = Extract<Block, { form: F }>

/** A new, empty block of each form. */
export const newBlock: { [F in Form]: (id: string) => BlockOf<F> } = {
  talk: newTalk,
  list: newList,
  intervals: newIntervals,
  rounds: newRounds,
  sets: newSets,
  relay: newRelay,
  amrap: newAmrap,
  ladder: newLadder,
  chance: newChance,
  calls: newCalls,
  sums: newSums,
  levels: newLevels,
  target: newTarget,
  game: newGame,
  measure: newMeasure,
  quiz: newQuiz,
}

/** Every form, in the order in which they are offered to a teacher. */
export const forms = Object.keys(newBlock) as Form[]

/** Blocks whose rows are stations. */
export type StationBlock = Extract<Block, { stations: Station[] }>

/** Whether a block can hold exercises, and have stations looked up. */
export const hasStations = (block: Block): block is StationBlock => 'stations' in block

/** The stations of any block; none for forms without stations. */
export const stationsOf = (block: Block): readonly Station[] => (hasStations(block) ? block.stations : [])
