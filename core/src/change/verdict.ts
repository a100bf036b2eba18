import { tQuantile } from './tQuantile.ts'
import type { TypicalError } from './typicalError.ts'

/** A child's values of a test on one side of a change: their mean on the test's scale, over how many days. */
export interface Side {
  mean: number
  days: number
}

/**
 * The verdict on a change: `clear` and `probably` more or less than the measure's variation · `same` about the same, which needs two days
 * per side · `open` too close to tell, which is not the same as no change
 */
export type ChangeWord = 'clear' | 'probably' | 'same' | 'open'

export interface Verdict {
  word: ChangeWord
  /** After minus before, on the test's scale. */
  change: number
  /** A change must be larger than this to be clear: the measure's variation. */
  variation: number
}

/**
 * The verdict on one child's change. Source: Weir 2005, J Strength Cond Res 19:231 (the smallest real difference, one day against one);
 * Hopkins 2000, Sports Med 30:1; the three words and the days per side: ours.
 *
 * @example changeVerdict({ mean: 0, days: 1 }, { mean: 6, days: 1 }, { error: 2, freedom: 40 }).word // 'clear'
 * @example changeVerdict({ mean: 0, days: 1 }, { mean: 3, days: 1 }, { error: 2, freedom: 40 }).word // 'open'
 */
export function changeVerdict(before: Side, after: Side, { error, freedom }: TypicalError): Verdict {
  const change = after.mean - before.mean
  const spread = error * Math.sqrt(1 / before.days + 1 / after.days)
  const variation = tQuantile(0.95, freedom) * spread
  const size = Math.abs(change)
  const twice = Math.min(before.days, after.days) >= 2
  const word =
    size >= variation
      ? 'clear'
      : size >= tQuantile(0.8, freedom) * spread
        ? 'probably'
        : twice && size < error / 2
          ? 'same'
          : 'open'
  return { word, change, variation }
}

/** How many of a number of children are clear by chance alone if nothing changed. @example clearByChance(24) // 1 */
export const clearByChance = (children: number): number => Math.round(children * 0.05)
