import { timeAmrap } from '../forms/amrap/time.ts'
import { timeCalls } from '../forms/calls/time.ts'
import { timeChance } from '../forms/chance/time.ts'
import { timeGame } from '../forms/game/time.ts'
import { timeIntervals } from '../forms/intervals/time.ts'
import { timeLadder } from '../forms/ladder/time.ts'
import { timeLevels } from '../forms/levels/time.ts'
import { timeList } from '../forms/list/time.ts'
import { timeMeasure } from '../forms/measure/time.ts'
import { timeQuiz } from '../forms/quiz/time.ts'
import { timeRounds } from '../forms/rounds/time.ts'
import { timeRelay } from '../forms/relay/time.ts'
import { timeSets } from '../forms/sets/time.ts'
import { timeSums } from '../forms/sums/time.ts'
import { timeTalk } from '../forms/talk/time.ts'
import { timeTarget } from '../forms/target/time.ts'
import type { Block, BlockOf, Form } from '../session/forms.ts'
import type { StepBuilder } from './stepBuilder.ts'

/** The timing file of each form. */
const timings: { [F in Form]: (block: BlockOf<F>, steps: StepBuilder) => void } = {
  talk: timeTalk,
  list: timeList,
  intervals: timeIntervals,
  rounds: timeRounds,
  sets: timeSets,
  relay: timeRelay,
  amrap: timeAmrap,
  ladder: timeLadder,
  chance: timeChance,
  calls: timeCalls,
  sums: timeSums,
  levels: timeLevels,
  target: timeTarget,
  game: timeGame,
  measure: timeMeasure,
  quiz: timeQuiz,
}

/** Appends one block's steps to the existing ones. */
export function timeBlock(block: Block, steps: StepBuilder): void {
  const time = timings[block.form] as (block: Block, steps: StepBuilder) => void
  time(block, steps)
}
