import type { Sentence } from '../../words/sentences.ts'
import type { callsEn } from './words.en.ts'

/** Its Spanish sentences, by code. */
export const callsEs: Record<keyof typeof callsEn, Sentence> = {
  'calls.call': (p, name) => p.title || name,
}
