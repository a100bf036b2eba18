import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const targetEn = {
  'target.throw': (p) => `${p.n} throws, at most ${p.of} points`,
  'target.collect': () => 'Collect, and write it down',
} satisfies FormWords<'target'>
