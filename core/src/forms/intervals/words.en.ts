import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const intervalsEn = {
  'intervals.pickNext': (p) => `Breathe. Then choose: number ${p.n} of ${p.of}`,
  'intervals.pick': (p) => `Choose one: number ${p.n} of ${p.of}`,
} satisfies FormWords<'intervals'>
