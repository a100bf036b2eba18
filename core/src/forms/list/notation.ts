import type { ListBlock } from './schema.ts'
import { fact, secondsOf, secondsPattern, printSeconds } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { travelFact } from '../../notation/commonFacts.ts'

const words = new RegExp(
  `^(?:(?:list|one after the other)\\s*)?(?:rest\\s*)?${secondsPattern}(?:\\s*(?:rest|between))*$`,
  'i',
)
const plain = /^(?:list|one after the other)$/i

/** `list`, `rest 20 s`: nothing if there is no rest and the list comes first. */
export const listNotation: FormNotation<ListBlock> = {
  opens: /^(?:list|one after the other|rest)\b/i,
  facts: [
    fact<ListBlock, number>({
      id: 'restAfter',
      field: { kind: 'seconds', min: 0, step: 5 },
      get: (b) => b.restAfter,
      set: (b, restAfter) => ({ ...b, restAfter: restAfter ?? { all: 0 } }),
      read: (text) => {
        if (plain.test(text)) return 0
        const match = words.exec(text)
        return match ? secondsOf(match[1]!, match[2]) : undefined
      },
      print: (n, base) => (base !== undefined ? printSeconds(n) : n === 0 ? 'list' : `rest ${printSeconds(n)}`),
    }),
    travelFact<ListBlock>(),
  ],
}
