import type { Scale } from '../terms/measure.ts'

/**
 * A value where differences mean the same everywhere: a ratio's logarithm.
 *
 * @throws {RangeError} for a ratio of nothing: nought seconds are no hold
 * @example onScale(20, { kind: 'ratio' }) - onScale(10, { kind: 'ratio' }) // 0.6931471805599454
 */
export function onScale(value: number, { kind }: Scale): number {
  if (kind !== 'ratio') return value
  if (!(value > 0)) throw new RangeError(`onScale: a ratio is above 0, got ${value}`)
  return Math.log(value)
}

/**
 * The error of so many hits, which nobody has to measure: the binomial's standard deviation.
 *
 * @param share of hits, 0 to 1
 * @example hitsError(20, 0.5).toFixed(2) // '2.24'
 */
export const hitsError = (tries: number, share: number): number => Math.sqrt(tries * share * (1 - share))
