import type { Amount, Unit } from '../../workout/dose.ts'
import { formSay } from '../../notation/formNotation.ts'
import type { BaseSayCode, Say } from '../../timing/step.ts'
import type { TestId } from '../../workout/forms/common.ts'
import { sayName, type Names } from '../names.ts'

const units: Record<Unit, [one: string, many: string]> = {
  reps: ['time', 'times'],
  seconds: ['second', 'seconds'],
  breaths: ['slow breath', 'slow breaths'],
  metres: ['metre', 'metres'],
  goes: ['go', 'goes'],
  score: ['point', 'points'],
}

/**
 * A dose as a child hears it.
 *
 * @example doseWords({ from: 10, to: 15 }, 'reps') // '10 to 15 times'
 */
export function doseWords(amount: Amount, unit: Unit): string {
  const word = (n: number) => units[unit][n === 1 ? 0 : 1]
  if (typeof amount === 'number') return `${amount} ${word(amount)}`
  if ('from' in amount) return `${amount.from} to ${amount.to} ${word(amount.to)}`
  if ('atLeast' in amount) return `at least ${amount.atLeast} ${word(amount.atLeast)}`
  return unit === 'seconds' ? 'as long as you can' : `as many as you can, up to ${amount.most}`
}

const dose = ({ amount, unit }: Say['params']) => (amount !== undefined && unit ? `, ${doseWords(amount, unit)}` : '')

/** What each code says in English. `name` is the move, or its name in today's story. */
const sentences: Record<BaseSayCode, (params: Say['params'], name: string) => string> = {
  work: (p, name) => `${name}${dose(p)}`,
  workSide: (p, name) => `${name}, ${p.side === 'second' ? 'other side' : 'first side'}${dose(p)}`,
  rest: () => 'Breathe. Well done',
  restNext: (_, name) => `Breathe. Next: ${name}`,
  changeTo: (_, name) => `Get ready: ${name}`,
  switchSide: () => 'Switch sides',
  talk: (p) => p.title ?? 'Listen',
  travel: (p) => p.text || 'On to the next',
  measure: (p) => testWords[p.test ?? 'pulse'],
}

const testWords: Record<TestId, string> = {
  pulse: 'Find your pulse and count',
  sitAndReach: 'Sit and reach',
  hold: 'How long can you hold it',
  reps30: 'How many in thirty seconds',
}

const isBase = (code: string): code is BaseSayCode => Object.hasOwn(sentences, code)

/**
 * What is said at a step, in English.
 *
 * @example sayEnglish({ code: 'restNext', params: { move: 'squat', version: 'squat' } }, names) // 'Breathe. Next: Squat'
 */
export function sayEnglish(say: Say, names: Names): string {
  const name = sayName(say, names)
  if (isBase(say.code)) return sentences[say.code](say.params, name)
  // An older page may not know a newer form's words; a title always says something.
  return formSay(say.code)?.(say.params, name) ?? say.params.title ?? name
}

export const sayCodesInEnglish = Object.keys(sentences) as BaseSayCode[]
