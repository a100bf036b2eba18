import { type Finish } from '@esfuerzo/core/tools'

/** How many children of a lane finish when. */
export interface Curve {
  letter: string
  bins: Finish['bins']
}

/**
 * The curve of a chart: at each minute the share of children per minute, down to zero on both sides.
 *
 * @example spreadCurve({ letter: 'A', bins: { from: 60, width: 30, shares: [1] } }) // [[1, 0], [1.25, 2], [1.5, 0]]
 */
export function spreadCurve({ bins: { from, width, shares } }: Curve): [minute: number, share: number][] {
  const at = (bin: number): number => (from + bin * width) / 60
  return [
    [at(0), 0],
    ...shares.map((share, bin): [number, number] => [at(bin + 0.5), (share * 60) / width]),
    [at(shares.length), 0],
  ]
}
