import type { Scale } from '../terms/measure.ts'

/**
 * A value on a scale where differences mean the same everywhere: for a ratio, its logarithm.
 *
 * @throws {RangeError} for a ratio of zero: zero seconds are not a hold
 * @example onScale(20, { kind: 'ratio' }) - onScale(10, { kind: 'ratio' }) // 0.6931471805599454
 */
export function onScale(value: number, { kind }: Scale): number {
  if (kind !== 'ratio') return value
  if (!(value > 0)) throw new RangeError(`onScale: a ratio is above 0, got ${value}`)
  return Math.log(value)
}

/**
 * The error of a number of hits, known without measuring: the binomial standard deviation.
 *
 * @param share of hits, 0 to 1
 * @example hitsError(20, 0.5).toFixed(2) // '2.24'
 */
export const hitsError = (tries: number, share: number): number => Math.sqrt(tries * share * (1 - share))
