import type { Sentence } from '../../words/sentences.ts'
import type { gameEn } from './words.en.ts'

/** What is said of it in Spanish, by code. */
export const gameEs: Record<keyof typeof gameEn, Sentence> = {
  'game.play': (p) => p.title || 'A jugar',
}
