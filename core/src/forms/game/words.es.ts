import type { Sentence } from '../../words/sentences.ts'
import type { gameEn } from './words.en.ts'

/** Its Spanish sentences, by code. */
export const gameEs: Record<keyof typeof gameEn, Sentence> = {
  'game.play': (p) => p.title || 'A jugar',
}
