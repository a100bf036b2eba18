/** How a measure varies from day to day, and how surely that is known. */
export interface TypicalError {
  /** Standard deviation of one child's values between days, on the test's own scale. */
  error: number
  /** Its degrees of freedom. */
  freedom: number
}

/** A test's own error counts like that of this many children (ours). */
const ownWeight = 20
/** From this many, a class's own differences count. */
const fewest = 8
/**
 * Observed variance above this multiple of the expected variance is not chance: with 20 to 40 degrees of freedom, chance alone exceeds it
 * one time in twenty (F distribution; the round number ours).
 */
const plainlyMore = 2

const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length

/**
 * The variance of a single day, from the differences between two days of the same children. Source: Hopkins 2000, Sports Med 30:1 (typical
 * error = SD of differences ÷ √2).
 *
 * @param differences at least two
 * @example differenceVariance([1, -1]) // 1
 */
export function differenceVariance(differences: readonly number[]): number {
  const middle = mean(differences)
  return differences.reduce((sum, d) => sum + (d - middle) ** 2, 0) / (2 * (differences.length - 1))
}

/**
 * The typical error **between days**: the test's own, pooled as a variance with that of the class's pairs of days at most two weeks apart.
 * If the class's variance is more than twice as large, it is used alone, because too small an error makes chance look like change.
 * Otherwise the two are pooled, because always taking the larger would miss real changes. Differences of trials within a day may raise it,
 * never lower it. Its degrees of freedom are those of the data the variance came from.
 *
 * @param own the test's own error
 * @param pairs differences of the same children between two such days, on the test's scale
 * @param trials differences of two trials of a day
 */
export function typicalError(own: number, pairs: readonly number[], trials: readonly number[]): TypicalError {
  const known = pairs.length >= fewest ? pairs : []
  const n = known.length
  const shown = n ? differenceVariance(known) : 0
  const pooled = n ? (ownWeight * own ** 2 + (n - 1) * shown) / (ownWeight - 1 + n) : own ** 2
  const within = trials.length >= fewest ? differenceVariance(trials) : 0
  const { variance, freedom } = [
    { variance: shown, freedom: n - 1, least: own ** 2 },
    { variance: within, freedom: trials.length - 1, least: pooled },
  ].reduce((taken, set) => (set.variance > plainlyMore * set.least && set.variance > taken.variance ? set : taken), {
    variance: pooled,
    freedom: ownWeight - 1 + n,
  })
  return { error: Math.sqrt(variance), freedom }
}
