import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const gameEn = {
  'game.play': (p) => p.title || 'Play',
} satisfies FormWords<'game'>
