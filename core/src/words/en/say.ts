import type { TestId } from '../../terms/measure.ts'
import type { Say } from '../../timing/step.ts'
import type { Amount, Unit } from '../../terms/dose.ts'
import type { Sentences } from '../sentences.ts'

const units: Record<Unit, [one: string, many: string]> = {
  reps: ['time', 'times'],
  seconds: ['second', 'seconds'],
  breaths: ['slow breath', 'slow breaths'],
  metres: ['meter', 'meters'],
  goes: ['turn', 'turns'],
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
  restingPulse: 'Count your resting pulse',
  pulseAfter: 'Count your pulse now, and after a minute',
  sitAndReach: 'Sit and reach',
  oneLegStand: 'Stand on one leg',
  plankHold: 'Hold a plank',
  wallSit: 'Sit against the wall',
  pressUps30: 'Press-ups in thirty seconds',
  sitToStands30: 'Stand up and sit down for thirty seconds',
  lineJumps15: 'Jump over the line for fifteen seconds',
  longJump: 'Standing long jump',
  sideSteps20: 'Side steps over three tapes',
  twoMinuteMarch: 'March for two minutes',
  sockThrows20: 'Twenty throws at the basket',
  hold: 'How long can you hold it',
  reps30: 'How many in thirty seconds',
}

/** The English words of each code. */
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
