import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const quizEn = {
  'quiz.question': (p) => p.title ?? '',
} satisfies FormWords<'quiz'>
