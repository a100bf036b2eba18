import { binomial } from '../distribution/chances.ts'

/** The change of a class: only children who have both days. */
export interface ClassChange {
  children: number
  /** The median change, on the test's scale. */
  median: number
  /** The median's interval with 95 % or more, if there are enough children. */
  interval?: { from: number; to: number; confidence: number }
  /** How many changed neither up nor down. */
  ties: number
}

/** From this many children, a class's change is shown (ours; fewer than six have no such interval). */
export const fewestChildren = 8

const medianOf = (sorted: readonly number[]): number => {
  const half = Math.floor(sorted.length / 2)
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}

/**
 * The exact interval of a median: from the k-th smallest to the k-th largest value, with the largest k that keeps 95 % confidence. Source:
 * the sign test's interval, Conover 1999, Practical Nonparametric Statistics, 3.2 (from memory).
 *
 * @returns k from 1, and the confidence; undefined below six
 * @example signInterval(6)?.confidence // 0.96875
 */
export function signInterval(n: number): { k: number; confidence: number } | undefined {
  const chances = binomial(n, 0.5)
  let below = 0
  let found: { k: number; confidence: number } | undefined
  for (let k = 1; k <= n / 2; k++) {
    below += chances[k - 1]!
    const confidence = 1 - 2 * below
    if (confidence < 0.95) break
    found = { k, confidence }
  }
  return found
}

/**
 * A class's change: the median of its children's changes, with its interval. Children are compared only with themselves.
 *
 * @param changes after minus before, for each child that has both
 * @returns undefined if there are too few to say
 * @example classChange([1, 2, 2, 3, 3, 4, 5, 6])?.median // 3
 */
export function classChange(changes: readonly number[]): ClassChange | undefined {
  if (changes.length < fewestChildren) return undefined
  const sorted = [...changes].sort((a, b) => a - b)
  const found = signInterval(sorted.length)
  return {
    children: sorted.length,
    median: medianOf(sorted),
    ...(found && {
      interval: { from: sorted[found.k - 1]!, to: sorted[sorted.length - found.k]!, confidence: found.confidence },
    }),
    ties: sorted.filter((change) => change === 0).length,
  }
}
