import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const amrapEn = {
  'amrap.go': (p) => p.title || 'As many rounds as you can',
} satisfies FormWords<'amrap'>
