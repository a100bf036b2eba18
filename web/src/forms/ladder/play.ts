import type { FormPlay } from '../formPlay.ts'
import LadderPlay from './LadderPlay.vue'

export const ladderScreen: FormPlay = {
  component: LadderPlay,
  whole: false,
  shows: (step, play) => play?.form === 'ladder' && step.kind === 'work',
}
