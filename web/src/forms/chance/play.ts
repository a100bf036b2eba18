import type { FormPlay } from '../formPlay.ts'
import ChancePlay from './ChancePlay.vue'

export const chanceScreen: FormPlay = {
  component: ChancePlay,
  whole: true,
  shows: (step) => step.say.code === 'chance.go',
}
