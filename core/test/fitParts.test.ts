import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { binomial, mean } from '../src/distribution/chances.ts'
import { quantile, spreadOf } from '@esfuerzo/core/tools'
import { certain, mixed, plus } from '../src/distribution/chances.ts'
import { reach } from '../src/fit/reach.ts'
import { slidingMin } from '../src/fit/slidingMin.ts'
import { randomFit } from './support/fitInstances.ts'

describe('a sliding minimum', () => {
  it('equals looking at every window', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -50, max: 50 }), { maxLength: 40 }),
        fc.nat({ max: 45 }),
        (list, width) => {
          const simple = list.map((_, i) => Math.min(...list.slice(i, i + width + 1)))
          expect([...slidingMin(Int32Array.from(list), width)]).toEqual(simple)
        },
      ),
    )
  })
})

describe('the reach of a lane', () => {
  it('is the minimum and maximum over every way through', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const problem = randomFit(seed, { blocks: 3, lanes: 2, states: 1 + (seed % 3) })
      const found = reach(problem)
      for (let g = 0; g < problem.lanes; g++) {
        let ends: { t: number; e: number }[] = [{ t: 0, e: 0 }]
        for (const { lanes, shared } of problem.blocks) {
          const variants = new Set(shared.map((s) => s.variant))
          const ways = [
            ...lanes[g]!.follow.filter((p) => p !== undefined),
            ...[...variants].flatMap((v) => (lanes[g]!.own[v] ?? []).map((o) => o.passage)),
          ]
          ends = ends.flatMap(({ t, e }) => ways.map((p) => ({ t: t + p[e]!.seconds, e: p[e]!.exit })))
        }
        const seconds = ends.map(({ t }) => t)
        expect(found[g], `seed ${seed}`).toEqual([Math.min(...seconds), Math.max(...seconds)])
      }
    }
  })
})

describe('distributions', () => {
  /** A random distribution over small numbers. */
  const chancesArbitrary = fc
    .array(fc.nat({ max: 9 }), { minLength: 1, maxLength: 8 })
    .filter((weights) => weights.some((w) => w > 0))
    .map((weights) => {
      const sum = weights.reduce((a, b) => a + b, 0)
      return Float64Array.from(weights, (w) => w / sum)
    })
  const total = (chances: Float64Array) => chances.reduce((a, b) => a + b, 0)

  it('sums have the sum of the means, and still add up to one', () => {
    fc.assert(
      fc.property(chancesArbitrary, chancesArbitrary, (a, b) => {
        const sum = plus(a, b)
        expect(total(sum)).toBeCloseTo(1, 10)
        expect(mean(sum)).toBeCloseTo(mean(a) + mean(b), 10)
        expect([...plus(b, a)].every((p, i) => Math.abs(p - sum[i]!) < 1e-12)).toBe(true)
      }),
    )
  })

  it('mixtures have the right means', () => {
    fc.assert(
      fc.property(chancesArbitrary, chancesArbitrary, (a, b) => {
        expect(
          mean(
            mixed([
              [0.25, a],
              [0.75, b],
            ]),
          ),
        ).toBeCloseTo(mean(a) / 4 + (3 * mean(b)) / 4, 10)
      }),
    )
  })

  it('quantiles rise with their share, and are possible values', () => {
    fc.assert(
      fc.property(chancesArbitrary, (a) => {
        const list = [0.05, 0.25, 0.5, 0.75, 0.95, 1].map((share) => quantile(a, share))
        expect(list).toEqual([...list].sort((x, y) => x - y))
        for (const value of list) expect(a[value]).toBeGreaterThan(0)
      }),
    )
    expect(quantile(Float64Array.of(0.5, 0.25, 0.25), 0.6)).toBe(1)
  })

  it('a certain value has no spread; a fair coin’s is even', () => {
    expect(spreadOf(certain(7))).toEqual({ low: 7, mean: 7, high: 7 })
    const { low, mean: middle, high } = spreadOf(binomial(20, 0.5))
    expect(middle).toBeCloseTo(10, 10)
    expect(low + high).toBe(20)
  })
})
