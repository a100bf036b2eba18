/** A distribution over whole numbers from 0: the probability of each, summing to 1 (except for negligible tails). */
export type Chances = Float64Array

/** A summary of a distribution: its mean, and its 5 % and 95 % points. */
export interface Spread {
  low: number
  mean: number
  high: number
}

/** A number that is certain. */
export const certain = (n: number): Chances => {
  const chances = new Float64Array(n + 1)
  chances[n] = 1
  return chances
}

/** @example mean(Float64Array.of(0.5, 0.5)) // 0.5 */
export const mean = (chances: Chances): number => chances.reduce((sum, p, value) => sum + p * value, 0)

/**
 * The smallest value whose cumulative probability reaches a share.
 *
 * @param share 0 to 1
 * @example quantile(Float64Array.of(0.5, 0.25, 0.25), 0.6) // 1
 */
export function quantile(chances: Chances, share: number): number {
  let sum = 0
  for (let value = 0; value < chances.length; value++) {
    sum += chances[value]!
    if (sum >= share - 1e-12) return value
  }
  return chances.length - 1
}

/** A distribution's summary: its 5 % point, mean and 95 % point. */
export const spreadOf = (chances: Chances): Spread => ({
  low: quantile(chances, 0.05),
  mean: mean(chances),
  high: quantile(chances, 0.95),
})

/** The sum of two independent numbers. */
export function plus(a: Chances, b: Chances): Chances {
  const sum = new Float64Array(a.length + b.length - 1)
  // Most values have probability 0, because seconds are coarse; skipping them saves time.
  const possible = [...b.keys()].filter((j) => b[j]! > 0)
  for (let i = 0; i < a.length; i++) {
    const p = a[i]!
    if (p > 0) for (const j of possible) sum[i + j] = sum[i + j]! + p * b[j]!
  }
  return sum
}

/** A mixture of several distributions with weights that sum to 1. */
export function mixed(parts: readonly (readonly [weight: number, Chances])[]): Chances {
  const sum = new Float64Array(Math.max(1, ...parts.map(([, chances]) => chances.length)))
  for (const [weight, chances] of parts) chances.forEach((p, value) => (sum[value] = sum[value]! + weight * p))
  return sum
}

/**
 * How many of n tries succeed.
 *
 * @param share probability of one success, 0 to 1
 * @example binomial(5, 0.5)[3] // 0.3125
 */
export function binomial(n: number, share: number): Chances {
  let chances: Chances = certain(0)
  const one = Float64Array.of(1 - share, share)
  for (let i = 0; i < n; i++) chances = plus(chances, one)
  return chances
}
