import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const amrapEn = {
  'amrap.go': (p) => p.title || 'As many rounds as you can',
} satisfies FormWords<'amrap'>
