import { z } from 'zod'
import { rule } from '../base/problem.ts'
import { limits } from '../base/limits.ts'
import { units } from './units.ts'

export const unitSchema = z.enum(units)
export { type Unit } from './units.ts'

const count = z.int().min(1).max(limits.seconds)

const rangeSchema = z
  .strictObject({ from: count, to: count })
  .refine((r) => r.from < r.to, { path: ['to'], error: rule('moreThanFrom'), params: { code: 'too-small' } })

/** A number, a range, a minimum (at least), or open up to a cap (as many or as long as you can). */
export const amountSchema = z.union(
  [count, rangeSchema, z.strictObject({ atLeast: count }), z.strictObject({ most: count })],
  { error: rule('amount') },
)
export type Amount = z.infer<typeof amountSchema>

export const doseSchema = z.strictObject({ unit: unitSchema, amount: amountSchema })
export type Dose = z.infer<typeof doseSchema>

/**
 * The amount used for timing: a range at its middle, a minimum at its number, an open dose at 60 % of its cap. Source: ours (the share of
 * the cap), common practice (the rest).
 *
 * @example typicalAmount({ from: 10, to: 15 }) // 12.5
 * @example typicalAmount({ most: 30 }) // 18
 */
export function typicalAmount(amount: Amount): number {
  if (typeof amount === 'number') return amount
  if ('from' in amount) return (amount.from + amount.to) / 2
  if ('atLeast' in amount) return amount.atLeast
  return amount.most * 0.6
}

/** The cap of an open amount, otherwise undefined. */
export const capOf = (amount: Amount): number | undefined =>
  typeof amount === 'object' && 'most' in amount ? amount.most : undefined

/** The amount changed by whole steps, of the same kind, never below 1 or above the largest. */
export function stepAmount(amount: Amount, by: number): Amount {
  const step = (n: number) => Math.min(limits.seconds, Math.max(1, n + by))
  if (typeof amount === 'number') return step(amount)
  if ('atLeast' in amount) return { atLeast: step(amount.atLeast) }
  if ('most' in amount) return { most: step(amount.most) }
  const from = step(amount.from)
  return from < step(amount.to) ? { from, to: step(amount.to) } : amount
}
