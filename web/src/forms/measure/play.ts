import type { FormPlay } from '../formPlay.ts'
import MeasurePlay from './MeasurePlay.vue'

export const measureScreen: FormPlay = {
  component: MeasurePlay,
  whole: true,
  shows: (step) => step.kind === 'measure',
}
