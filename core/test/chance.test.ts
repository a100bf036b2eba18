import { binomialDistribution, combinations, probit, quantileSorted } from 'simple-statistics'
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { binomial, mean, type Chances } from '../src/distribution/chances.ts'
import { clearedDraws, firstCleared, sumOfCards } from '../src/distribution/draws.ts'
import { lognormalFactors } from '../src/distribution/lognormal.ts'
import { seededRandom } from '../src/distribution/seededRandom.ts'
import { type BlockOf, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { chanceOutlook, finishOf, quantile, simulate } from '@esfuerzo/core/tools'
import { library } from './sessions.ts'

const typed = (...lines: string[]): Session => {
  const { workout: session, problems } = parse(['groups 4-6', '## Main part', ...lines].join('\n'), library)
  expect(problems).toEqual([])
  return session
}
const chanceOf = (session: Session) =>
  session.sections.flatMap((s) => s.blocks).filter((b): b is BlockOf<'chance'> => b.form === 'chance')
const outlook = (session: Session, block = chanceOf(session)[0]!) =>
  chanceOutlook(block, session.groups[0]!, session, library)
const sum = (chances: Chances) => chances.reduce((a, b) => a + b, 0)
/** The binomial coefficient as a number; the reference package lists combinations, so small ones check it. */
const choose = (n: number, k: number) => {
  let ways = 1
  for (let i = 1; i <= k; i++) ways = (ways * (n - k + i)) / i
  return ways
}

describe('exact chances, against closed forms and a reference package', () => {
  it('binomial tables equal the package’s', () => {
    for (const [n, p] of [
      [1, 0.5],
      [5, 0.5],
      [20, 0.25],
      [60, 1 / 6],
    ] as const) {
      const reference = binomialDistribution(n, p)!
      const ours = binomial(n, p)
      reference.forEach((chance, k) => expect(ours[k]).toBeCloseTo(chance, 10))
    }
  })

  it('five tossed over a line split 3–2 in 0.625 and 4–1 in 0.3125 of throws', () => {
    const five = binomial(5, 0.5)
    expect(five[3]! + five[2]!).toBe(0.625)
    expect(five[4]! + five[1]!).toBe(0.3125)
  })

  it('6 + 6 takes 9.293 flips until the first column is done, 14.707 until both', () => {
    expect(mean(firstCleared([6, 6]))).toBeCloseTo(9.293, 3)
    expect(mean(clearedDraws([6, 6]))).toBeCloseTo(14.707, 3)
    // Another flip is needed while neither side has come up six times.
    const still = (k: number) =>
      binomialDistribution(k, 0.5)!.reduce((total, p, heads) => (heads <= 5 && k - heads <= 5 ? total + p : total), 0)
    const closed = 1 + Array.from({ length: 12 }, (_, i) => still(i + 1)).reduce((a, b) => a + b, 0)
    expect(mean(firstCleared([6, 6]))).toBeCloseTo(closed, 8)
    // The two columns are finished one after the other: their means add up to those of two sixes flipped for separately.
    expect(mean(firstCleared([6, 6])) + mean(clearedDraws([6, 6]))).toBeCloseTo(24, 5)
  })

  it('collecting all six faces of a die takes 14.7 throws: the coupon collector’s sum', () => {
    const closed = [1, 2, 3, 4, 5, 6].reduce((total, n) => total + 6 / n, 0)
    expect(mean(clearedDraws([1, 1, 1, 1, 1, 1]))).toBeCloseTo(closed, 5)
    expect(sum(clearedDraws([3, 1, 2, 0]))).toBeCloseTo(1, 8)
  })

  it('cards without replacement follow the hypergeometric distribution', () => {
    const hearts = sumOfCards(
      [
        { value: 1, count: 13 },
        { value: 0, count: 39 },
      ],
      20,
    )
    for (let k = 0; k <= 13; k++) {
      expect(hearts[k]).toBeCloseTo((choose(13, k) * choose(39, 20 - k)) / choose(52, 20), 10)
    }
    // A small deck, with every hand listed by the package.
    const deck = [1, 2, 2, 5, 7]
    const hands = combinations(deck, 3).map((hand) => hand.reduce((a, b) => a + b, 0))
    const ours = sumOfCards(
      [
        { value: 1, count: 1 },
        { value: 2, count: 2 },
        { value: 5, count: 1 },
        { value: 7, count: 1 },
      ],
      3,
    )
    for (let total = 0; total < ours.length; total++) {
      expect(ours[total]).toBeCloseTo(hands.filter((h) => h === total).length / hands.length, 10)
    }
    // An empty deck is dealt again: 52 cards are certain.
    expect(sumOfCards([{ value: 6, count: 52 }], 60)[360]).toBeCloseTo(1, 10)
  })
})

describe('the outlook of a block of chance', () => {
  it('never reaches the third row of a face while the face comes up at most twice', () => {
    const w = typed('coin, 6 flips', 'heads: squat 10', 'heads: push-up 5', 'heads: lunge 8', 'tails: jumping jack 20')
    const { lines, draws } = outlook(w)
    expect(mean(draws)).toBe(6)
    const atMost = (k: number) =>
      binomialDistribution(6, 0.5)!
        .slice(0, k + 1)
        .reduce((a, b) => a + b, 0)
    expect(lines.map((l) => l.never)).toEqual([0, 1, 2, 0].map((k) => expect.closeTo(atMost(k), 10)))
    expect(lines[3]!.amount.mean).toBeCloseTo(60, 8)
  })

  it('gives a suit a quarter of the deck’s reps, a side of the toss half of what is thrown', () => {
    const cards = typed(
      'cards, 20 draws',
      'clubs: squat',
      'diamonds: push-up',
      'hearts: jumping jack',
      'spades: curl-up',
    )
    const { lines } = outlook(cards)
    expect(lines.map((l) => l.amount.mean)).toEqual([1, 2, 3, 4].map(() => expect.closeTo((20 * 85) / 52, 8)))
    expect(lines[0]!.never).toBeCloseTo(choose(39, 20) / choose(52, 20), 10)
    const toss = outlook(typed('toss 5, 4 rounds: jumping jack | squat'))
    expect(toss.lines.map((l) => l.amount.mean)).toEqual([10, 10].map((n) => expect.closeTo(n, 10)))
  })

  it('by the clock: counts as many draws as are started in it', () => {
    const w = typed('coin, for 2 min', 'heads: squat 10', 'tails: squat 10')
    const { draws, seconds } = outlook(w)
    expect(quantile(seconds, 0.5)).toBe(120)
    // A squat takes about 1.7 s: a flip of 12 s and ten squats, again and again, whichever side comes up.
    const one =
      12 + Math.floor(library.moves.get('squat')!.versions.find((v) => v.id === 'squat')!.secondsPerRep * 10 + 0.5)
    expect(mean(draws)).toBeCloseTo(Math.ceil(120 / one), 8)
  })

  it('by the clock: a row’s reps depend on the time left for it, over every way the flips can fall', () => {
    const perRep = library.moves.get('squat')!.versions.find((v) => v.id === 'squat')!.secondsPerRep
    const takes = [40, 5].map((reps) => 12 + Math.floor(perRep * reps + 0.5))
    const counts = [0, 1].map(() => new Map<number, number>())
    const flip = (seconds: number, done: readonly [number, number], p: number): void => {
      if (seconds >= 240) return done.forEach((n, i) => counts[i]!.set(n, (counts[i]!.get(n) ?? 0) + p))
      flip(seconds + takes[0]!, [done[0] + 1, done[1]], p / 2)
      flip(seconds + takes[1]!, [done[0], done[1] + 1], p / 2)
    }
    flip(0, [0, 0], 1)
    const { lines } = outlook(typed('coin, for 4 min', 'heads: squat 40', 'tails: squat 5'))
    for (const [i, each] of [40, 5].entries()) {
      const ways = [...counts[i]!].sort(([a], [b]) => a - b)
      const upTo = (reps: number) => ways.reduce((total, [n, p]) => (n * each <= reps ? total + p : total), 0)
      const exact = ways.reduce((total, [n, p]) => total + n * each * p, 0)
      const { amount, never } = lines[i]!
      // Five thousand games: a share is out by two in a hundred at most (four standard errors of 0.3).
      expect(amount.mean / exact).toBeCloseTo(1, 1)
      expect(never).toBeCloseTo(counts[i]!.get(0) ?? 0, 1)
      for (const [end, share] of [
        ['low', 0.05],
        ['high', 0.95],
      ] as const) {
        expect(upTo(amount[end])).toBeGreaterThanOrEqual(share - 0.02)
        expect(upTo(amount[end] - each)).toBeLessThanOrEqual(share + 0.02)
      }
    }
  })

  it('gives an empty sheet no time', () => {
    const w = typed('coin, until all are done', 'heads: squat 10')
    const empty = { ...chanceOf(w)[0]!, stations: [] }
    expect(outlook(w, empty).lines).toEqual([])
    expect(mean(outlook(w, empty).seconds)).toBe(0)
  })
})

const demo = new URL('../../server/demo/', import.meta.url)
const chanceSessions = readdirSync(demo)
  .filter((name) => name.endsWith('.txt'))
  .map((name) => parse(readFileSync(new URL(name, demo), 'utf8'), library).workout)
  .filter((session) => chanceOf(session).length > 0)

describe('the simulation', () => {
  it('agrees with the exact distribution within Monte-Carlo error, for every block of chance in the demo', () => {
    expect(chanceSessions.length).toBeGreaterThan(2)
    const children = 20_000
    for (const session of chanceSessions) {
      for (const block of chanceOf(session)) {
        const alone = { ...session, sections: [{ ...session.sections[0]!, blocks: [block] }] }
        for (const group of session.groups) {
          const exact = chanceOutlook(block, group, alone, library).seconds
          const ends = simulate(alone, group, library, { children, spread: { child: 0, step: 0 }, seed: 7 })
          // Kolmogorov–Smirnov at one in ten thousand (asymptotic, 2.23 ÷ √n; from memory).
          let far = 0
          let cdf = 0
          let at = 0
          exact.forEach((p, seconds) => {
            cdf += p
            while (at < children && ends[at]! <= seconds) at++
            far = Math.max(far, Math.abs(cdf - at / children))
          })
          // Cards at different levels have too many orders to enumerate, so their outlook is itself made from five thousand games.
          const error = Math.sqrt(1 / children + (block.device === 'cards' ? 1 / 5000 : 0))
          expect(far, `${session.title}, ${group.name}`).toBeLessThan(2.23 * error)
        }
      }
    }
  })

  it('draws factors whose quantiles are those of the reference package', () => {
    const n = 40_000
    const sigma = 0.2
    const factor = lognormalFactors(seededRandom(3))
    const sample = Array.from({ length: n }, () => factor(sigma)).sort((a, b) => a - b)
    for (const share of [0.05, 0.25, 0.5, 0.75, 0.95]) {
      const z = probit(share)
      const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)
      const error = (4 * Math.sqrt((share * (1 - share)) / n)) / density
      expect(Math.abs(Math.log(quantileSorted(sample, share)) / sigma - z)).toBeLessThan(error + 0.005)
    }
    expect(factor(0)).toBe(1)
  })

  it('spreads one counted step as both factors together', () => {
    const session = typed('squat 60')
    const ends = simulate(session, session.groups[0]!, library, { children: 20_000 })
    const typical = 60 * library.moves.get('squat')!.versions.find((v) => v.id === 'squat')!.secondsPerRep
    const sigma = Math.hypot(0.2, 0.15)
    for (const share of [0.1, 0.5, 0.9]) {
      const expected = typical * Math.exp(sigma * probit(share))
      expect(quantileSorted([...ends], share) / expected).toBeCloseTo(1, 1.7)
    }
  })

  it('leaves timed steps unchanged, stops at a cap, and reports progress', () => {
    const clock = typed('3 laps 20/10', 'jumping jack', 'squat')
    expect(new Set(simulate(clock, clock.groups[0]!, library, { children: 50 }))).toEqual(new Set([180]))
    const capped = typed('5 rounds, cap 3 min: squat 20, push-up 10, lunge 20')
    const ends = simulate(capped, capped.groups[0]!, library, { children: 500 })
    expect(ends.at(-1)).toBe(180)
    const seen: number[] = []
    simulate(clock, clock.groups[0]!, library, { children: 100, onProgress: (share) => seen.push(share) })
    expect(seen.at(-1)).toBe(1)
    expect(seen.length).toBeGreaterThan(10)
  })

  it('is summarized as shares of the children', () => {
    const finish = finishOf(
      Float64Array.from({ length: 100 }, (_, i) => 600 + i),
      649,
    )
    expect(finish).toMatchObject({ early: 610, median: 650, late: 690, last: 695, inTime: expect.closeTo(0.5, 10) })
    expect(finish.bins).toMatchObject({ from: 600, width: 5 })
    expect(finish.bins.shares).toHaveLength(20)
    expect(finishOf(new Float64Array(), 60).inTime).toBe(0)
  })

  it('gives the same children for the same seed', () => {
    const session = chanceSessions[0]!
    const run = (seed: number) => simulate(session, session.groups[0]!, library, { children: 200, seed })
    expect(run(5)).toEqual(run(5))
    expect(run(5)).not.toEqual(run(6))
  })
})
