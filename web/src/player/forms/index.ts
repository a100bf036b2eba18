import type { Component } from 'vue'
import type { Play, PlayedStep } from '@esfuerzo/core'
import AmrapPlay from './AmrapPlay.vue'
import ChancePlay from './ChancePlay.vue'
import GamePlay from './GamePlay.vue'
import LadderPlay from './LadderPlay.vue'
import LevelsPlay from './LevelsPlay.vue'
import MeasurePlay from './MeasurePlay.vue'
import QuizPlay from './QuizPlay.vue'
import RelayPlay from './RelayPlay.vue'
import TargetPlay from './TargetPlay.vue'

/** A screen of a form's own in the player. */
export interface FormPlay {
  component: Component
  /** In place of figure and digits, or over the figure. */
  whole: boolean
  shows: (step: PlayedStep, play: Play | undefined) => boolean
}

/** Forms without one are run by their steps: a figure, a count, a cue. */
export const formPlays: readonly FormPlay[] = [
  { component: ChancePlay, whole: true, shows: (step) => step.say.code === 'chance.go' },
  { component: AmrapPlay, whole: true, shows: (step) => step.say.code === 'amrap.go' },
  {
    component: TargetPlay,
    whole: true,
    shows: (step, play) => play?.form === 'target' && step.say.code === 'target.throw',
  },
  { component: RelayPlay, whole: true, shows: (step) => step.say.code === 'relay.other' },
  { component: GamePlay, whole: true, shows: (_, play) => play?.form === 'game' },
  { component: QuizPlay, whole: true, shows: (_, play) => play?.form === 'quiz' },
  { component: MeasurePlay, whole: true, shows: (step) => step.kind === 'measure' },
  { component: LadderPlay, whole: false, shows: (step, play) => play?.form === 'ladder' && step.kind === 'work' },
  { component: LevelsPlay, whole: false, shows: (step, play) => play?.form === 'levels' && step.kind === 'work' },
]
