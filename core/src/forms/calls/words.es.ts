import type { Sentence } from '../../words/sentences.ts'
import type { callsEn } from './words.en.ts'

/** What is said of it in Spanish, by code. */
export const callsEs: Record<keyof typeof callsEn, Sentence> = {
  'calls.call': (p, name) => p.title || name,
}
