import type { AmrapBlock } from './schema.ts'
import { secondsFact } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { travelFact } from '../../notation/commonFacts.ts'

/** `amrap 10 min` */
export const amrapNotation: FormNotation<AmrapBlock> = {
  opens: /^(?:amrap|as many rounds as (?:you can|possible))\b/i,
  facts: [
    secondsFact<AmrapBlock>('cap', {
      print: 'amrap',
      words: '(?:amrap|as many rounds as (?:you can|possible))(?: in)?',
      min: 1,
      fallback: 'min',
    }),
    travelFact<AmrapBlock>(),
  ],
}
