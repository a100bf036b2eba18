import type { TestId } from '../../session/blockParts.ts'
import type { Say } from '../../timing/step.ts'
import type { Amount, Unit } from '../../terms/dose.ts'
import type { Sentences } from '../sentences.ts'

const units: Record<Unit, [one: string, many: string]> = {
  reps: ['time', 'times'],
  seconds: ['second', 'seconds'],
  breaths: ['slow breath', 'slow breaths'],
  metres: ['metre', 'metres'],
  goes: ['go', 'goes'],
  score: ['point', 'points'],
}

/** A dose in English. @example doseInEnglish({ from: 10, to: 15 }, 'reps') // '10 to 15 times' */
export function doseInEnglish(amount: Amount, unit: Unit): string {
  const word = (n: number) => units[unit][n === 1 ? 0 : 1]
  if (typeof amount === 'number') return `${amount} ${word(amount)}`
  if ('from' in amount) return `${amount.from} to ${amount.to} ${word(amount.to)}`
  if ('atLeast' in amount) return `at least ${amount.atLeast} ${word(amount.atLeast)}`
  return unit === 'seconds' ? 'as long as you can' : `as many as you can, up to ${amount.most}`
}

const dose = ({ amount, unit }: Say['params']) =>
  amount !== undefined && unit ? `, ${doseInEnglish(amount, unit)}` : ''

const tests: Record<TestId, string> = {
  pulse: 'Find your pulse and count',
  sitAndReach: 'Sit and reach',
  hold: 'How long can you hold it',
  reps30: 'How many in thirty seconds',
}

/** What each code says in English. */
export const sentencesInEnglish: Sentences = {
  work: (p, name) => `${name}${dose(p)}`,
  workSide: (p, name) => `${name}, ${p.side === 'second' ? 'other side' : 'first side'}${dose(p)}`,
  rest: () => 'Breathe. Well done',
  restNext: (_, name) => `Breathe. Next: ${name}`,
  changeTo: (_, name) => `Get ready: ${name}`,
  switchSide: () => 'Switch sides',
  talk: (p) => p.title ?? 'Listen',
  standUp: () => 'Stand up',
  travel: (p) => p.text || 'On to the next',
  measure: (p) => tests[p.test ?? 'pulse'],
}
