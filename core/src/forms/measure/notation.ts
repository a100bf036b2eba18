import type { TestId } from '../../session/blockParts.ts'
import type { MeasureBlock } from './schema.ts'
import { countFact, fact, forAll } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { readTest, testWords } from '../../notation/commonFacts.ts'

const pattern = /^(?:measure|test)\s+(.+?)(?:\s+(before|after|alone))?$/i

/** `measure sit and reach before, 2 trials` */
export const measureNotation: FormNotation<MeasureBlock> = {
  opens: /^(?:measure|test)\b/i,
  facts: [
    fact<MeasureBlock, { test: TestId; moment: MeasureBlock['moment'] }>({
      id: 'what',
      get: (b) => forAll({ test: b.test, moment: b.moment }),
      set: (b, value) => (value ? { ...b, ...value.all } : b),
      read: (text) => {
        const match = pattern.exec(text)
        const test = match && readTest(match[1]!)
        return test ? { test, moment: (match[2]?.toLowerCase() ?? 'alone') as MeasureBlock['moment'] } : undefined
      },
      print: ({ test, moment }) => `measure ${testWords[test][0]}${moment === 'alone' ? '' : ` ${moment}`}`,
    }),
    countFact<MeasureBlock>('trials', { word: 'trial', words: 'trials?|tries', max: 5 }),
  ],
}
