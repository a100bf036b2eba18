import { talkTraits } from '../forms/talk/traits.ts'
import { listTraits } from '../forms/list/traits.ts'
import { intervalsTraits } from '../forms/intervals/traits.ts'
import { roundsTraits } from '../forms/rounds/traits.ts'
import { relayTraits } from '../forms/relay/traits.ts'
import { setsTraits } from '../forms/sets/traits.ts'
import { amrapTraits } from '../forms/amrap/traits.ts'
import { ladderTraits } from '../forms/ladder/traits.ts'
import { chanceTraits } from '../forms/chance/traits.ts'
import { callsTraits } from '../forms/calls/traits.ts'
import { sumsTraits } from '../forms/sums/traits.ts'
import { levelsTraits } from '../forms/levels/traits.ts'
import { targetTraits } from '../forms/target/traits.ts'
import { gameTraits } from '../forms/game/traits.ts'
import { measureTraits } from '../forms/measure/traits.ts'
import { quizTraits } from '../forms/quiz/traits.ts'
import type { Block, BlockOf, Form } from './forms.ts'
import type { FormTraits } from './plainTraits.ts'

/** What each form answers. */
export const formTraits: { [F in Form]: FormTraits<BlockOf<F>> } = {
  talk: talkTraits,
  list: listTraits,
  intervals: intervalsTraits,
  rounds: roundsTraits,
  sets: setsTraits,
  relay: relayTraits,
  amrap: amrapTraits,
  ladder: ladderTraits,
  chance: chanceTraits,
  calls: callsTraits,
  sums: sumsTraits,
  levels: levelsTraits,
  target: targetTraits,
  game: gameTraits,
  measure: measureTraits,
  quiz: quizTraits,
}

/** What any block's form answers. */
export const traitsOf = (block: { form: Form }): FormTraits<Block> =>
  formTraits[block.form] as unknown as FormTraits<Block>
