import { type Form } from '@esfuerzo/core'
import { type Play } from '@esfuerzo/core/publication'
import { type PlayedStep } from '@esfuerzo/core/run'
import { chancePlay } from './chance/play.ts'
import { amrapPlay } from './amrap/play.ts'
import { targetPlay } from './target/play.ts'
import { relayPlay } from './relay/play.ts'
import { gamePlay } from './game/play.ts'
import { quizPlay } from './quiz/play.ts'
import { measurePlay } from './measure/play.ts'
import { ladderPlay } from './ladder/play.ts'
import { levelsPlay } from './levels/play.ts'
import type { FormPlay } from './formPlay.ts'

/** Forms without one are run by their steps: a figure, a count, a cue. */
const formPlays: { [F in Form]?: FormPlay } = {
  chance: chancePlay,
  amrap: amrapPlay,
  target: targetPlay,
  relay: relayPlay,
  game: gamePlay,
  quiz: quizPlay,
  measure: measurePlay,
  ladder: ladderPlay,
  levels: levelsPlay,
}

/** The screen of its own that a step is shown on, where its form has one. */
export const playOfStep = (step: PlayedStep, play: Play | undefined): FormPlay | undefined =>
  Object.values(formPlays).find((f) => f.shows(step, play))
