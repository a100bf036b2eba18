import type { TestId } from '../../terms/measure.ts'
import type { MeasureBlock } from './schema.ts'
import { countFact, fact, forAll, withField } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { readTest, testWords } from '../../notation/commonFacts.ts'

const pattern = /^(?:measure|test)\s+(.+?)(?:\s+(before|after|alone))?$/i

/** `measure sit and reach before, set-up step, 2 trials` */
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
    fact<MeasureBlock, string>({
      id: 'setUp',
      optional: 'tape',
      get: (b) => (b.setUp === undefined ? undefined : { all: b.setUp }),
      set: (b, value) => withField(b, 'setUp', value?.all),
      read: (text) => /^set[- ]?up\s*:?\s*([a-z][a-z0-9-]*)$/i.exec(text)?.[1]?.toLowerCase(),
      print: (id) => `set-up ${id}`,
    }),
    countFact<MeasureBlock>('trials', { word: 'trial', words: 'trials?|tries', max: 5 }),
  ],
}
