import type { SetsBlock } from './schema.ts'
import { countFact, secondsFact } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'

/** `3 sets, rest 60 s` */
export const setsNotation: FormNotation<SetsBlock> = {
  opens: /^\d{1,2}\s*(?:x\s*)?sets?\b/i,
  facts: [
    countFact<SetsBlock>('sets', { word: 'set', words: 'sets?' }),
    secondsFact<SetsBlock>('restBetween', {
      print: 'rest',
      words: 'rest(?: between sets)?',
    }),
    secondsFact<SetsBlock>('restStations', {
      print: 'rest between moves',
      words: 'rest between (?:stations|moves|exercises)',
    }),
  ],
}
