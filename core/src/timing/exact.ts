/** A number as an exact fraction, so that halves stay halves: in floats 0.1 + 0.2 is not 0.3. */
export interface Fraction {
  n: number
  d: number
}

const known = new Map<number, Fraction>()
const whole = (x: number) => Math.abs(x - Math.round(x)) < 1e-9 * Math.max(1, Math.abs(x))

/**
 * A number with few decimals, or the mean of up to seven such numbers, as a fraction; anything else to six decimals.
 *
 * @example fraction(1.15) // { n: 23, d: 20 }
 * @example fraction(3.35 / 3) // { n: 67, d: 60 }
 */
export function fraction(x: number): Fraction {
  if (Number.isInteger(x)) return { n: x, d: 1 }
  let made = known.get(x)
  if (made) return made
  const d = denominators.find((d) => whole(x * d)) ?? 1_000_000
  made = lowest(Math.round(x * d), d)
  if (known.size < mostKnown) known.set(x, made)
  return made
}
const mostKnown = 4096
const denominators = [10, 100, 1000, 10_000, 300, 600, 700]

function lowest(n: number, d: number): Fraction {
  let [a, b] = [Math.abs(n), d]
  while (b) [a, b] = [b, a % b]
  return { n: n / (a || 1), d: d / (a || 1) }
}

/** @example minus(fraction(7.5), 2) // { n: 11, d: 2 } */
export const minus = ({ n, d }: Fraction, whole: number): Fraction => ({ n: n - whole * d, d })

/**
 * A product, if its numbers are exact in floating point.
 *
 * @example product([fraction(1.5), fraction(2)]) // { n: 6, d: 2 }
 */
export function product(factors: readonly Fraction[]): Fraction | undefined {
  let n = 1
  let d = 1
  for (const factor of factors) {
    n *= factor.n
    d *= factor.d
  }
  return Number.isSafeInteger(4 * n) && Number.isSafeInteger(4 * d) ? { n, d } : undefined
}

/**
 * A product rounded to the nearest whole number, halves up, computed in whole numbers.
 *
 * @example roundProduct(fraction(3), fraction(0.6), fraction(1.25), fraction(2)) // 5, of 4.5
 */
export function roundProduct(...factors: readonly Fraction[]): number {
  const exact = product(factors)
  if (exact) return rounded(exact)
  const [bigN, bigD] = factors.reduce(
    ([n, d], factor): [bigint, bigint] => [n * BigInt(factor.n), d * BigInt(factor.d)],
    [1n, 1n],
  )
  return Number((2n * bigN + bigD) / (2n * bigD))
}

/** A fraction of exactly represented numbers, rounded to the nearest whole number, halves up. */
export function rounded({ n, d }: Fraction): number {
  const rest = (2 * n + d) % (2 * d)
  return (2 * n + d - rest) / (2 * d) - (rest < 0 ? 1 : 0)
}
