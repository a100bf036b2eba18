import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const callsEn = {
  'calls.call': (p, name) => p.title || name,
} satisfies FormWords<'calls'>
