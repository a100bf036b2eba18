import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const chanceEn = {
  'chance.go': (p) => p.title || (p.text === 'coin' ? 'The coin decides' : 'Chance decides'),
  'chance.draw': (p) =>
    p.text === 'coin'
      ? `Flip the coin: ${p.face}`
      : p.text === 'toss'
        ? 'Toss all five over the line'
        : `Draw: ${p.face}`,
  // In sessions sent earlier; no longer produced.
  'chance.again': () => 'Flip again if a column is done',
} satisfies FormWords<'chance'>
