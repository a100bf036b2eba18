import { operationsSchema, type Operation, type SumsBlock } from './schema.ts'
import { fact, forAll, withField } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { unitFact } from '../../notation/commonFacts.ts'

type Range = SumsBlock['range']['all']
const operationWords: Record<Operation, RegExp> = {
  add: /^(?:add(?:ing)?|plus)$/i,
  subtract: /^(?:subtract(?:ing)?|minus|take away)$/i,
  missing: /^missing(?: parts?| numbers?)?$/i,
  double: /^doubles?$/i,
  times: /^(?:times|tables|multiply(?:ing)?)$/i,
  divide: /^(?:divide|dividing|share)$/i,
  twoSteps: /^two steps?$/i,
}
const printed: Record<Operation, string> = {
  add: 'add',
  subtract: 'subtract',
  missing: 'missing',
  double: 'double',
  times: 'times',
  divide: 'divide',
  twoSteps: 'two steps',
}
const readOperations = (text: string): Operation[] | undefined => {
  const read = text
    .split(/\s*(?:\+|&|\band\b)\s*/i)
    .map((word) => operationsSchema.options.find((op) => operationWords[op].test(word.trim())))
  return read.every((op) => op !== undefined) && read.length > 0 ? [...new Set(read as Operation[])] : undefined
}
const rangePattern = /^(?:sums?\s*)?(\d{1,3})\s*(?:-|to)\s*(\d{1,3})(?:\s+(.+))?$/i

/** `sums 5-12, add and subtract` */
export const sumsNotation: FormNotation<SumsBlock> = {
  opens: /^sums?\b/i,
  facts: [
    fact<SumsBlock, Range>({
      id: 'range',
      get: (b) => b.range,
      set: (b, range) => (range ? { ...b, range } : b),
      read: (text) => {
        const match = rangePattern.exec(text)
        const [from, to] = [Number(match?.[1]), Number(match?.[2])]
        if (!match || match[3] || from < 1 || to > 100 || from > to) return undefined
        return { from, to }
      },
      print: ({ from, to }, base) => `${base ? '' : 'sums '}${from}-${to}`,
    }),
    fact<SumsBlock, Operation[]>({
      id: 'operations',
      get: (b) => forAll(b.operations),
      set: (b, value) => withField(b, 'operations', value?.all),
      read: readOperations,
      print: (operations) => operations.map((op) => printed[op]).join(' and '),
    }),
    unitFact<SumsBlock>(),
    fact<SumsBlock, boolean>({
      id: 'same',
      field: { kind: 'flag' },
      get: (b) => forAll(b.same),
      set: (b, value) => (value ? { ...b, same: value.all } : b),
      read: (text) => (/^same answers$/i.test(text) ? true : /^own answers$/i.test(text) ? false : undefined),
      print: (same) => (same ? 'same answers' : 'own answers'),
      silent: (same) => same,
    }),
  ],
}
