import type { Sentence } from '../../words/sentences.ts'
import type { intervalsEn } from './words.en.ts'

/** Its Spanish sentences, by code. */
export const intervalsEs: Record<keyof typeof intervalsEn, Sentence> = {
  'intervals.pickNext': (p) => `Respira. Luego elige: número ${p.n} de ${p.of}`,
  'intervals.pick': (p) => `Elige uno: número ${p.n} de ${p.of}`,
}
