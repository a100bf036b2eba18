import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const chanceEn = {
  'chance.go': (p) => p.title || (p.text === 'coin' ? 'The coin decides' : 'Chance decides'),
  'chance.draw': (p) =>
    p.text === 'coin'
      ? `Flip the coin: ${p.face}`
      : p.text === 'toss'
        ? 'Toss all five over the line'
        : `Draw: ${p.face}`,
  // In sessions sent before; nothing says it any more.
  'chance.again': () => 'Flip again where a column is done',
} satisfies FormWords<'chance'>
