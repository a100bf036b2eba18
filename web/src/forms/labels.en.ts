import { type Form } from '@esfuerzo/core'
import type { FormLabels } from './labels.ts'
import { amrapEn } from './amrap/labels.en.ts'
import { callsEn } from './calls/labels.en.ts'
import { chanceEn } from './chance/labels.en.ts'
import { gameEn } from './game/labels.en.ts'
import { intervalsEn } from './intervals/labels.en.ts'
import { ladderEn } from './ladder/labels.en.ts'
import { levelsEn } from './levels/labels.en.ts'
import { listEn } from './list/labels.en.ts'
import { measureEn } from './measure/labels.en.ts'
import { quizEn } from './quiz/labels.en.ts'
import { relayEn } from './relay/labels.en.ts'
import { roundsEn } from './rounds/labels.en.ts'
import { setsEn } from './sets/labels.en.ts'
import { sumsEn } from './sums/labels.en.ts'
import { talkEn } from './talk/labels.en.ts'
import { targetEn } from './target/labels.en.ts'

/** What each form is called in English, and what can be set of it. */
export const formsEn: { [F in Form]: FormLabels } = {
  amrap: amrapEn,
  calls: callsEn,
  chance: chanceEn,
  game: gameEn,
  intervals: intervalsEn,
  ladder: ladderEn,
  levels: levelsEn,
  list: listEn,
  measure: measureEn,
  quiz: quizEn,
  relay: relayEn,
  rounds: roundsEn,
  sets: setsEn,
  sums: sumsEn,
  talk: talkEn,
  target: targetEn,
}
