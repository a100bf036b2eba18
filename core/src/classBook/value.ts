import type { BookColumn } from './column.ts'

/** Why a typed value is impossible: no number; not whole; below or above the range. */
export type ValueProblem =
  | { code: 'not-a-number' }
  | { code: 'not-whole' }
  | { code: 'too-small'; atLeast: number }
  | { code: 'too-large'; atMost: number }

/** Why a value is asked about, though it may be right. */
export type Unlikely =
  | { code: 'faster'; perSecond: number }
  | { code: 'far-from-own'; usual: number }
  | { code: 'count-again' }

type Unit = BookColumn['unit']

/** The range of a value by its unit. Limits no child reaches (ours); the scales' own. */
const bounds: Record<Unit, { from: number; to: number; whole: boolean }> = {
  reps: { from: 0, to: 1000, whole: true },
  goes: { from: 0, to: 500, whole: true },
  breaths: { from: 0, to: 300, whole: true },
  seconds: { from: 0, to: 3600, whole: false },
  metres: { from: 0, to: 10_000, whole: false },
  score: { from: -100, to: 10_000, whole: false },
  kg: { from: 0, to: 20, whole: false },
  perMinute: { from: 30, to: 250, whole: true },
  faces: { from: 1, to: 5, whole: true },
  ten: { from: 0, to: 10, whole: true },
  minutes: { from: 0, to: 4200, whole: true },
}

/** No child does a counted exercise more often in a second (ours: quick feet reach four). */
const mostPerSecond = 5
/** A faster count than this is questioned (ours). */
const quickPerSecond = 3
/** A pulse outside these bounds should be counted again: common practice, no source. */
const usualPulse = { from: 55, to: 215 }

/** The bounds of a column's values. */
export function boundsOf({ unit, seconds, range }: Pick<BookColumn, 'unit' | 'seconds' | 'range'>): {
  from: number
  to: number
  whole: boolean
} {
  if (range) return { from: range.from, to: range.to, whole: range.step >= 1 }
  const { from, to, whole } = bounds[unit]
  const counted = unit === 'reps' || unit === 'goes'
  return { from, to: counted && seconds ? Math.min(to, Math.ceil(seconds * mostPerSecond)) : to, whole }
}

/**
 * A typed value, with a decimal point or comma.
 *
 * @returns undefined for an empty cell: missing is not zero
 * @example readValue('12', { unit: 'reps' }) // { value: 12 }
 * @example readValue('1,5', { unit: 'kg' }) // { value: 1.5 }
 * @example readValue(' ', { unit: 'reps' }) // undefined
 */
export function readValue(
  typed: string,
  column: Pick<BookColumn, 'unit' | 'seconds' | 'range'>,
): { value: number } | { problem: ValueProblem } | undefined {
  const text = typed.trim().replace(/^[−–]/, '-')
  if (text === '') return undefined
  if (!/^-?\d{1,6}(?:[.,]\d{1,3})?$/.test(text)) return { problem: { code: 'not-a-number' } }
  const value = Number(text.replace(',', '.'))
  const problem = impossible(value, column)
  return problem ? { problem } : { value }
}

/** Why a value is impossible; undefined if it is possible. @example impossible(7, { unit: 'faces' }) // { code: 'too-large', atMost: 5 } */
export function impossible(
  value: number,
  column: Pick<BookColumn, 'unit' | 'seconds' | 'range'>,
): ValueProblem | undefined {
  const { from, to, whole } = boundsOf(column)
  if (!Number.isFinite(value)) return { code: 'not-a-number' }
  if (whole && !Number.isInteger(value)) return { code: 'not-whole' }
  if (value < from) return { code: 'too-small', atLeast: from }
  if (value > to) return { code: 'too-large', atMost: to }
  return undefined
}

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}

/**
 * Why a possible value is questioned; it is kept either way. A child is compared only with itself.
 *
 * @param own its other values of the same thing
 * @example unlikely(120, { unit: 'reps', seconds: 30 }, []) // { code: 'faster', perSecond: 4 }
 * @example unlikely(1, { unit: 'reps' }, [11, 12]) // { code: 'far-from-own', usual: 11.5 }
 */
export function unlikely(
  value: number,
  { unit, seconds }: Pick<BookColumn, 'unit' | 'seconds' | 'range'>,
  own: readonly number[],
): Unlikely | undefined {
  if (unit === 'perMinute') {
    return value < usualPulse.from || value > usualPulse.to ? { code: 'count-again' } : undefined
  }
  if (unit === 'faces' || unit === 'ten' || unit === 'minutes') return undefined
  if (seconds && (unit === 'reps' || unit === 'goes') && value / seconds > quickPerSecond) {
    return { code: 'faster', perSecond: Math.round((value / seconds) * 10) / 10 }
  }
  if (own.length >= 2) {
    const usual = middle(own)
    // Three times as much or a third, and more than a handful apart: 2 and 6 may just be different days.
    if (Math.abs(value - usual) > 5 && (value > 3 * usual || value * 3 < usual)) return { code: 'far-from-own', usual }
  }
  return undefined
}

/**
 * A count converted to thirty seconds, so that laps of different length compare; undefined if the work was not timed.
 *
 * @example per30(18, { unit: 'reps', seconds: 45 }) // 12
 */
export const per30 = (
  value: number,
  { unit, seconds }: { unit: string; seconds?: number | null | undefined },
): number | undefined =>
  seconds && (unit === 'reps' || unit === 'goes') ? Math.round((value / seconds) * 300) / 10 : undefined
