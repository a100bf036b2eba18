import type { SetsBlock } from '../../session/forms/sets.ts'
import { countFact, secondsFact } from '../facts.ts'
import type { FormNotation } from '../formNotation.ts'

/** `3 sets, rest 60 s` */
export const setsNotation: FormNotation<SetsBlock> = {
  name: 'Sets',
  about: 'three sets of ten, one move at a time',
  opens: /^\d{1,2}\s*(?:x\s*)?sets?\b/i,
  facts: [
    countFact<SetsBlock>('sets', { label: 'Sets', word: 'set', words: 'sets?' }),
    secondsFact<SetsBlock>('restBetween', {
      label: 'Rest between sets',
      print: 'rest',
      words: 'rest(?: between sets)?',
    }),
    secondsFact<SetsBlock>('restStations', {
      label: 'Rest between moves',
      print: 'rest between moves',
      words: 'rest between (?:stations|moves|exercises)',
    }),
  ],
}
