import { type Form } from '@esfuerzo/core'
import type { FormLabels } from './labels.ts'
import { amrapLabels } from './amrap/labels.en.ts'
import { callsLabels } from './calls/labels.en.ts'
import { chanceLabels } from './chance/labels.en.ts'
import { gameLabels } from './game/labels.en.ts'
import { intervalsLabels } from './intervals/labels.en.ts'
import { ladderLabels } from './ladder/labels.en.ts'
import { levelsLabels } from './levels/labels.en.ts'
import { listLabels } from './list/labels.en.ts'
import { measureLabels } from './measure/labels.en.ts'
import { quizLabels } from './quiz/labels.en.ts'
import { relayLabels } from './relay/labels.en.ts'
import { roundsLabels } from './rounds/labels.en.ts'
import { setsLabels } from './sets/labels.en.ts'
import { sumsLabels } from './sums/labels.en.ts'
import { talkLabels } from './talk/labels.en.ts'
import { targetLabels } from './target/labels.en.ts'

/** The English name of each form, and of its settings. */
export const formsEn: { [F in Form]: FormLabels } = {
  amrap: amrapLabels,
  calls: callsLabels,
  chance: chanceLabels,
  game: gameLabels,
  intervals: intervalsLabels,
  ladder: ladderLabels,
  levels: levelsLabels,
  list: listLabels,
  measure: measureLabels,
  quiz: quizLabels,
  relay: relayLabels,
  rounds: roundsLabels,
  sets: setsLabels,
  sums: sumsLabels,
  talk: talkLabels,
  target: targetLabels,
}
