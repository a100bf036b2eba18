import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const callsEn = {
  'calls.call': (p, name) => p.title || name,
} satisfies FormWords<'calls'>
