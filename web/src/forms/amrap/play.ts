import type { FormPlay } from '../formPlay.ts'
import AmrapPlay from './AmrapPlay.vue'

export const amrapScreen: FormPlay = {
  component: AmrapPlay,
  whole: true,
  shows: (step) => step.say.code === 'amrap.go',
}
