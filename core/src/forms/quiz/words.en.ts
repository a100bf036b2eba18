import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const quizEn = {
  'quiz.question': (p) => p.title ?? '',
} satisfies FormWords<'quiz'>
