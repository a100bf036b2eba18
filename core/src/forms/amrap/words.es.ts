import type { Sentence } from '../../words/sentences.ts'
import type { amrapEn } from './words.en.ts'

/** Its Spanish sentences, by code. */
export const amrapEs: Record<keyof typeof amrapEn, Sentence> = {
  'amrap.go': (p) => p.title || 'Todas las rondas que puedas',
}
