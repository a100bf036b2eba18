import type { TestId } from '../../terms/measure.ts'
import type { MeasureBlock } from './schema.ts'
import { countFact, fact, forAll, withField } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { readTest, testWords } from '../../notation/commonFacts.ts'

/** What is measured, and when: the whole name first, since one ends with "a minute after". */
function readMeasured(text: string): { test: TestId; moment: MeasureBlock['moment'] } | undefined {
  const words = /^(?:measure|test)\s+(.+)$/i.exec(text)?.[1]
  if (words === undefined) return undefined
  const whole = readTest(words)
  if (whole) return { test: whole, moment: 'alone' }
  const timed = /^(.+)\s+(before|after|alone)$/i.exec(words)
  const test = timed && readTest(timed[1]!)
  return test ? { test, moment: timed[2]!.toLowerCase() as MeasureBlock['moment'] } : undefined
}

/** `measure sit and reach before, set-up step, 2 trials` */
export const measureNotation: FormNotation<MeasureBlock> = {
  opens: /^(?:measure|test)\b/i,
  facts: [
    fact<MeasureBlock, { test: TestId; moment: MeasureBlock['moment'] }>({
      id: 'what',
      get: (b) => forAll({ test: b.test, moment: b.moment }),
      set: (b, value) => (value ? { ...b, ...value.all } : b),
      read: readMeasured,
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
