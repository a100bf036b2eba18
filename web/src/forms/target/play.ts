import type { FormPlay } from '../formPlay.ts'
import TargetPlay from './TargetPlay.vue'

export const targetScreen: FormPlay = {
  component: TargetPlay,
  whole: true,
  shows: (step, play) => play?.form === 'target' && step.say.code === 'target.throw',
}
