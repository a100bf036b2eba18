import type { Sentence } from '../../words/sentences.ts'
import type { quizEn } from './words.en.ts'

/** Its Spanish sentences, by code. */
export const quizEs: Record<keyof typeof quizEn, Sentence> = {
  'quiz.question': (p) => p.title ?? '',
}
