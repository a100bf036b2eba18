import type { Sentence } from '../../words/sentences.ts'
import type { quizEn } from './words.en.ts'

/** What is said of it in Spanish, by code. */
export const quizEs: Record<keyof typeof quizEn, Sentence> = {
  'quiz.question': (p) => p.title ?? '',
}
