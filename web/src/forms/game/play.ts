import type { FormPlay } from '../formPlay.ts'
import GamePlay from './GamePlay.vue'

export const gameScreen: FormPlay = {
  component: GamePlay,
  whole: true,
  shows: (_, play) => play?.form === 'game',
}
