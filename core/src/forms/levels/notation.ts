import type { LevelsBlock } from './schema.ts'
import { fact, forAll, secondsFact } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { endsFact } from '../../notation/commonFacts.ts'

/** `levels 1-3 [4-6: 4-6], 60 s each, bonus` */
export const levelsNotation: FormNotation<LevelsBlock> = {
  opens: /^levels?\b/i,
  facts: [
    endsFact<LevelsBlock>('levels', 200),
    secondsFact<LevelsBlock>('seconds', { print: 'each', words: 'each(?: for)?', min: 1 }),
    fact<LevelsBlock, boolean>({
      id: 'bonus',
      field: { kind: 'flag' },
      get: (b) => forAll(b.bonus),
      set: (b, value) => (value ? { ...b, bonus: value.all } : b),
      read: (text) => (/^(?:then )?(?:a )?bonus$/i.test(text) ? true : undefined),
      print: () => 'bonus',
      silent: (bonus) => !bonus,
    }),
  ],
}
