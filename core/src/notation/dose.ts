import { limits } from '../base/limits.ts'
import type { Amount, Dose, Unit } from '../terms/dose.ts'
import { plainMarks } from './plainMarks.ts'

/** Words people write for each unit; minutes are converted to seconds. */
const unitWords: [words: string, unit: Unit, times: number][] = [
  ['seconds?|secs?|s', 'seconds', 1],
  ['minutes?|mins?', 'seconds', 60],
  ['reps?|repetitions?|times', 'reps', 1],
  ['breaths?', 'breaths', 1],
  ['metres?|meters?|m', 'metres', 1],
  ['goes|go|tries|try|turns?', 'goes', 1],
  ['points?|pts?', 'score', 1],
]
const anyUnit = unitWords.map(([words]) => words).join('|')

const number = '\\d{1,5}'
/** An amount with its unit, if there is one; `m:ss` is a clock's. */
const pattern = new RegExp(
  '(?<![\\p{L}\\p{N}.])(?:' +
    `(?<clock>\\d{1,2}:[0-5]\\d)` +
    `|(?<open>as (?:many|long|far) as (?:you can|possible))(?:,? (?:up to|max\\.?) (?<openCap>${number}))?` +
    `|(?:up to|max\\.?|at most|most) (?<most>${number})` +
    `|(?:at least|min\\.?|≥) ?(?<floor>${number})` +
    `|(?<from>${number}) ?(?:-|to) ?(?<to>${number})` +
    `|(?<plus>${number}) ?\\+` +
    `|(?:x ?)?(?<n>${number})(?: ?x(?![\\p{L}\\p{N}]))?` +
    '|(?<max>max)' +
    `)(?: ?(?<unit>${anyUnit}))?(?![\\p{L}\\p{N}])`,
  'iu',
)

/** The cap of an open amount if none is written: thirty reps, a minute. Source: ours. */
const openCap = (unit: Unit) => (unit === 'seconds' ? 60 : 30)

const inBounds = (amount: Amount): boolean => {
  const ends = typeof amount === 'number' ? [amount] : Object.values(amount)
  return ends.every((n) => n >= 1 && n <= limits.seconds) && !(ends.length === 2 && ends[0]! >= ends[1]!)
}

/**
 * Extracts a dose from a text.
 *
 * @param fallback the unit of a number without one
 * @returns the dose, and the text without it; no dose if there is none or it is out of bounds
 * @example takeDose('squat 10-15 slow', 'reps') // { dose: { unit: 'reps', amount: { from: 10, to: 15 } }, bare: true, rest: 'squat  slow' }
 */
export function takeDose(
  text: string,
  fallback: Unit,
): { dose?: Dose; /** No unit was written. */ bare?: true; rest: string } {
  const plain = plainMarks(text)
  const match = pattern.exec(plain)
  if (!match) return { rest: text }
  const g = match.groups!
  const word = g.unit?.toLowerCase()
  const known = unitWords.find(([words]) => word && new RegExp(`^(?:${words})$`).test(word))
  const long = g.open?.toLowerCase().includes('long')
  const unit = known?.[1] ?? (g.clock || long ? 'seconds' : fallback)
  const times = known?.[2] ?? 1
  const n = (written: string | undefined) => Number(written) * times
  const amount = ((): Amount => {
    if (g.clock) {
      const [minutes, seconds] = g.clock.split(':').map(Number)
      return minutes! * 60 + seconds!
    }
    if (g.open || g.max) return { most: g.openCap ? n(g.openCap) : openCap(unit) }
    if (g.most) return { most: n(g.most) }
    if (g.floor ?? g.plus) return { atLeast: n(g.floor ?? g.plus) }
    if (g.from) return { from: n(g.from), to: n(g.to) }
    return n(g.n)
  })()
  if (!inBounds(amount)) return { rest: text }
  const bare = !known && !g.clock && !long
  return {
    dose: { unit, amount },
    ...(bare && { bare }),
    rest: plain.slice(0, match.index) + plain.slice(match.index + match[0].length),
  }
}

/**
 * Reads a text that is only a dose.
 *
 * @example readDose('30 s', 'reps') // { unit: 'seconds', amount: 30 }
 * @example readDose('as long as you can', 'reps') // { unit: 'seconds', amount: { most: 60 } }
 */
export function readDose(text: string, fallback: Unit): Dose | undefined {
  const { dose, rest } = takeDose(text.trim(), fallback)
  return rest.trim() === '' ? dose : undefined
}

const unitAfter: Record<Unit, string> = {
  reps: '',
  seconds: ' s',
  breaths: ' breaths',
  metres: ' m',
  goes: ' goes',
  score: ' points',
}

/**
 * A dose in whiteboard text.
 *
 * @example printDose({ unit: 'seconds', amount: { from: 20, to: 30 } }) // '20-30 s'
 * @example printDose({ unit: 'reps', amount: { atLeast: 10 } }) // '10+'
 */
export function printDose({ unit, amount }: Dose): string {
  const after = unitAfter[unit]
  if (typeof amount === 'number') return `${amount}${after}`
  if ('from' in amount) return `${amount.from}-${amount.to}${after}`
  if ('atLeast' in amount) return `${amount.atLeast}+${after}`
  return `max ${amount.most}${after}`
}
