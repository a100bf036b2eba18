import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const gameEn = {
  'game.play': (p) => p.title || 'Play',
} satisfies FormWords<'game'>
