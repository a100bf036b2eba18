import { type Form } from '@esfuerzo/core'
import { type Play } from '@esfuerzo/core/publication'
import { type PlayedStep } from '@esfuerzo/core/run'
import { chanceScreen } from './chance/play.ts'
import { amrapScreen } from './amrap/play.ts'
import { targetScreen } from './target/play.ts'
import { relayScreen } from './relay/play.ts'
import { gameScreen } from './game/play.ts'
import { quizScreen } from './quiz/play.ts'
import { measureScreen } from './measure/play.ts'
import { ladderScreen } from './ladder/play.ts'
import { levelsScreen } from './levels/play.ts'
import type { FormPlay } from './formPlay.ts'

/** Forms without one are run by their steps: a figure, a count, a cue. */
const formPlays: { [F in Form]?: FormPlay } = {
  chance: chanceScreen,
  amrap: amrapScreen,
  target: targetScreen,
  relay: relayScreen,
  game: gameScreen,
  quiz: quizScreen,
  measure: measureScreen,
  ladder: ladderScreen,
  levels: levelsScreen,
}

/** The form's own screen for a step, if it has one. */
export const playOfStep = (step: PlayedStep, play: Play | undefined): FormPlay | undefined =>
  Object.values(formPlays).find((f) => f.shows(step, play))
