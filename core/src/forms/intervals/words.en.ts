import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const intervalsEn = {
  'intervals.pickNext': (p) => `Breathe. Then choose: number ${p.n} of ${p.of}`,
  'intervals.pick': (p) => `Choose one: number ${p.n} of ${p.of}`,
} satisfies FormWords<'intervals'>
