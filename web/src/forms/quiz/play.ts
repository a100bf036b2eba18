import type { FormPlay } from '../formPlay.ts'
import QuizPlay from './QuizPlay.vue'

export const quizScreen: FormPlay = {
  component: QuizPlay,
  whole: true,
  shows: (_, play) => play?.form === 'quiz',
}
