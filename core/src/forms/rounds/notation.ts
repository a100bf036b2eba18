import type { RoundsBlock } from './schema.ts'
import { countFact, secondsFact } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { betweenLapsFact, travelFact } from '../../notation/commonFacts.ts'

/** `3 rounds, rest 60 s` */
export const roundsNotation: FormNotation<RoundsBlock> = {
  opens: /^\d{1,2}\s*(?:x\s*)?(?:rounds?|circuits?)\b/i,
  facts: [
    countFact<RoundsBlock>('rounds', { word: 'round', words: 'rounds?|circuits?' }),
    secondsFact<RoundsBlock>('restBetween', {
      print: 'rest',
      words: 'rest(?: between rounds)?',
    }),
    secondsFact<RoundsBlock>('restStations', {
      print: 'rest between stations',
      words: 'rest between (?:stations|moves|exercises)',
      silent: (n) => n === 0,
    }),
    secondsFact<RoundsBlock>('cap', {
      print: 'cap',
      words: '(?:time )?cap',
      min: 1,
      fallback: 'min',
      optional: 600,
    }),
    travelFact<RoundsBlock>(),
    betweenLapsFact<RoundsBlock>(),
  ],
}
