import type { LadderBlock } from './schema.ts'
import { fact, forAll, secondsFact, withField } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { endsFact, unitFact } from '../../notation/commonFacts.ts'

/** `ladder 1-10`, `ladder 10-20 by 5, down` */
export const ladderNotation: FormNotation<LadderBlock> = {
  opens: /^ladder\b/i,
  facts: [
    endsFact<LadderBlock>('ladder', 120),
    fact<LadderBlock, number>({
      id: 'by',
      field: { kind: 'count', min: 1, max: 30 },
      get: (b) => forAll(b.by),
      set: (b, value) => (value ? { ...b, by: value.all } : b),
      read: (text) => {
        const match = /^(?:by|in steps of) (\d{1,2})$/i.exec(text)
        const n = Number(match?.[1])
        return match && n >= 1 && n <= 30 ? n : undefined
      },
      print: (n) => `by ${n}`,
      silent: (n) => n === 1,
    }),
    fact<LadderBlock, LadderBlock['shape']>({
      id: 'shape',
      field: {
        kind: 'choice',
        choices: ['up', 'down', 'upDown'],
      },
      get: (b) => forAll(b.shape),
      set: (b, value) => (value ? { ...b, shape: value.all } : b),
      read: (text) =>
        /^up (?:and|&) down(?: again)?$/i.test(text)
          ? 'upDown'
          : /^down$/i.test(text)
            ? 'down'
            : /^up$/i.test(text)
              ? 'up'
              : undefined,
      print: (shape) => (shape === 'upDown' ? 'up and down' : shape),
      silent: (shape) => shape === 'up',
    }),
    fact<LadderBlock, number[]>({
      id: 'rungs',
      get: (b) => b.rungs,
      set: (b, value) => withField(b, 'rungs', value),
      read: (text) => {
        const match = /^rungs? (\d{1,3}(?:-\d{1,3}){0,59})$/i.exec(text)
        const row = match?.[1]!.split('-').map(Number)
        return row?.every((n) => n >= 1 && n <= 120) ? row : undefined
      },
      print: (row) => `rungs ${row.join('-')}`,
    }),
    unitFact<LadderBlock>(),
    secondsFact<LadderBlock>('restBetween', {
      print: 'rest',
      words: 'rest(?: between rungs)?',
      silent: (n) => n === 0,
    }),
  ],
}
