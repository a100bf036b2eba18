import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const targetEn = {
  'target.throw': (p) => `${p.n} throws, at most ${p.of} points`,
  'target.collect': () => 'Collect, and write it down',
} satisfies FormWords<'target'>
