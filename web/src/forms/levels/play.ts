import type { FormPlay } from '../formPlay.ts'
import LevelsPlay from './LevelsPlay.vue'

export const levelsScreen: FormPlay = {
  component: LevelsPlay,
  whole: false,
  shows: (step, play) => play?.form === 'levels' && step.kind === 'work',
}
