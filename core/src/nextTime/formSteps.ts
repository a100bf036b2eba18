import { amrapNext } from '../forms/amrap/next.ts'
import { callsNext } from '../forms/calls/next.ts'
import { intervalsNext } from '../forms/intervals/next.ts'
import { ladderNext } from '../forms/ladder/next.ts'
import { listNext } from '../forms/list/next.ts'
import { roundsNext } from '../forms/rounds/next.ts'
import { setsNext } from '../forms/sets/next.ts'
import { targetNext } from '../forms/target/next.ts'
import type { Block, BlockOf, Form } from '../session/forms.ts'
import type { FormSteps, NextPlace, StepsFor } from './step.ts'

/** The steps of each form. Forms of chance or words need a new rule next time, which only a teacher can think of. */
const formNext: { [F in Form]?: StepsFor<BlockOf<F>> } = {
  amrap: amrapNext,
  calls: callsNext,
  intervals: intervalsNext,
  ladder: ladderNext,
  list: listNext,
  rounds: roundsNext,
  sets: setsNext,
  target: targetNext,
}

/** What of a block can be made a step harder or easier for a group. */
export const stepsOf = (block: Block, at: NextPlace): FormSteps =>
  (formNext[block.form] as StepsFor<Block> | undefined)?.(block, at) ?? { up: [], down: [] }
