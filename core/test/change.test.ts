import { binomialDistribution, median, standardDeviation } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import {
  changeVerdict,
  classChange,
  classPace,
  clearByChance,
  differenceVariance,
  hitsError,
  onScale,
  signInterval,
  testChange,
  tQuantile,
  typicalError,
  type PacedRun,
} from '@esfuerzo/core/change'
import { seededRandom } from '../src/distribution/seededRandom.ts'
import { samples } from './support/samples.ts'

/** Normal numbers from uniform ones: Box and Muller 1958. */
function normals(seed: number): () => number {
  const random = seededRandom(seed)
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

describe('Student’s t', () => {
  // NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.2, from memory.
  it.each([
    [0.95, 10, 2.228],
    [0.95, 19, 2.093],
    [0.95, 30, 2.042],
    [0.95, 60, 2.0],
    [0.8, 10, 1.372],
    [0.8, 20, 1.325],
    [0.8, 60, 1.296],
  ] as const)('%d with %d degrees of freedom is %d', (confidence, freedom, expected) =>
    expect(tQuantile(confidence, freedom)).toBeCloseTo(expected, 2),
  )
})

describe('the typical error', () => {
  it('of differences is their standard deviation ÷ √2', () => {
    const next = normals(3)
    const differences = Array.from({ length: 50 }, () => next() * 3 + 1)
    // simple-statistics has the population's standard deviation.
    const sample = standardDeviation(differences) * Math.sqrt(50 / 49)
    expect(Math.sqrt(differenceVariance(differences))).toBeCloseTo(sample / Math.SQRT2, 10)
  })

  it('is the test’s own where a class says little, believed less where it wobbles less, whole where it wobbles more', () => {
    const small = Array.from({ length: 24 }, (_, i) => (i % 2 ? 0.5 : -0.5))
    const large = small.map((d) => d * 12)
    expect(typicalError(2, small.slice(0, 7), []).error).toBe(2)
    expect(typicalError(2, small, []).error).toBeGreaterThan(1.2)
    expect(typicalError(2, small, []).error).toBeLessThan(2)
    expect(typicalError(2, large, []).error).toBeCloseTo(Math.sqrt(differenceVariance(large)), 10)
  })

  it('is raised by the trials of a day, and never lowered', () => {
    const trials = Array.from({ length: 24 }, (_, i) => (i % 2 ? 6 : -6))
    expect(typicalError(2, [], trials).error).toBeCloseTo(Math.sqrt(differenceVariance(trials)), 10)
    expect(
      typicalError(
        2,
        [],
        trials.map((d) => d / 100),
      ).error,
    ).toBe(2)
  })

  it('of hits is the binomial’s; holds compare as ratios', () => {
    expect(hitsError(20, 0.5)).toBeCloseTo(Math.sqrt(5), 10)
    expect(onScale(10, { kind: 'ratio' }) - onScale(5, { kind: 'ratio' })).toBeCloseTo(Math.log(2), 12)
    expect(() => onScale(0, { kind: 'ratio' })).toThrow(RangeError)
  })
})

describe('what is said of a child', () => {
  const one = (mean: number) => ({ mean, days: 1 })
  const error = { error: 2, freedom: 1000 }
  it('is clear from 1.96 × √2 × the error on for one day against one, probable from 1.81 errors on', () => {
    // Weir 2005: 1.96 × √2; 80 % on both sides: 1.2816 × √2 = 1.812.
    expect(changeVerdict(one(0), one(5.6), error).word).toBe('clear')
    expect(changeVerdict(one(0), one(-5.6), error).word).toBe('clear')
    expect(changeVerdict(one(0), one(5.5), error).word).toBe('probably')
    expect(changeVerdict(one(0), one(3.65), error).word).toBe('probably')
    expect(changeVerdict(one(0), one(3.6), error).word).toBe('open')
  })

  it('is never "the same" of one day a side: too close to tell is not the same', () => {
    expect(changeVerdict(one(0), one(0), error).word).toBe('open')
    expect(changeVerdict({ mean: 0, days: 2 }, { mean: 0.9, days: 2 }, error).word).toBe('same')
    expect(changeVerdict({ mean: 0, days: 2 }, { mean: 1.1, days: 2 }, error).word).toBe('open')
  })

  it('needs less with two days a side', () => {
    expect(changeVerdict({ mean: 0, days: 2 }, { mean: 4, days: 2 }, error).word).toBe('clear')
    expect(clearByChance(24)).toBe(1)
  })

  /**
   * Classes of 24 in which nobody changes: two days a fortnight apart, a third months later; each the best of two trials. A child's own
   * error is another than its neighbour's. @returns the share that is called clear
   */
  function falseClear(dayEffect: number, ownShare: number, classes: number): number {
    const next = normals(17 + Math.round(dayEffect * 10 + ownShare * 100))
    const random = seededRandom(5)
    /** Standard deviation of a day's best of two, measured once for all. */
    const dayOf = (sd: number) => {
      const day = next() * sd * dayEffect
      return Math.max(day + next() * sd, day + next() * sd)
    }
    const sds = () => 0.7 + 0.6 * random()
    let [clear, all] = [0, 0]
    const probe = Array.from({ length: 20_000 }, () => dayOf(sds()))
    const truth = standardDeviation(probe)
    for (let c = 0; c < classes; c++) {
      const children = Array.from({ length: 24 }, () => {
        const sd = sds()
        return [dayOf(sd), dayOf(sd), dayOf(sd)] as const
      })
      const error = typicalError(
        truth * ownShare,
        children.map(([a, b]) => b - a),
        [],
      )
      for (const [, before, after] of children) {
        all++
        if (changeVerdict({ mean: before, days: 1 }, { mean: after, days: 1 }, error).word === 'clear') clear++
      }
    }
    return clear / all
  }
  it.each([0, 1, 1.5])('is "clear" of at most 6 %% who have not changed, with a day’s effect of %d trial SD', (day) =>
    expect(falseClear(day, 1, samples(300, 2000))).toBeLessThanOrEqual(0.06),
  )
  it.each([0, 1, 1.5])('and of at most 8 %% where the true error is twice the test’s own, with %d', (day) =>
    expect(falseClear(day, 0.5, samples(300, 2000))).toBeLessThanOrEqual(0.08),
  )
})

describe('what is said of a class', () => {
  it('has the sign test’s exact interval', () => {
    expect(signInterval(5)).toBeUndefined()
    expect(signInterval(6)).toEqual({ k: 1, confidence: 0.96875 })
    for (const n of [8, 14, 22, 40]) {
      const { k, confidence } = signInterval(n)!
      const chances = binomialDistribution(n, 0.5) as unknown as number[]
      const below = (m: number) => chances.slice(0, m).reduce((sum, p) => sum + p, 0)
      expect(confidence).toBeCloseTo(1 - 2 * below(k), 3)
      expect(1 - 2 * below(k + 1)).toBeLessThan(0.95)
    }
  })

  it('is its median of those who have both, ties told, and nothing below eight', () => {
    const changes = [3, -1, 0, 2, 4, 1, 0, 5, 2]
    expect(classChange(changes)).toMatchObject({ children: 9, median: median(changes), ties: 2 })
    expect(classChange(changes)!.interval).toMatchObject({ from: 0, to: 4 })
    expect(classChange(changes.slice(0, 7))).toBeUndefined()
  })

  it('misses a true median in one of twenty at most', () => {
    const next = normals(9)
    const many = samples(1500, 10_000)
    let missed = 0
    for (let i = 0; i < many; i++) {
      const { interval } = classChange(Array.from({ length: 14 }, next))!
      if (interval!.from > 0 || interval!.to < 0) missed++
    }
    expect(missed / many).toBeLessThan(0.06)
  })
})

describe('a class’s pace', () => {
  /** Runs of children with a pace of their own; so many of a hundred left alone with a tablet. */
  function runsOf(children: number, pace: number, contaminated: number, seed: number): PacedRun[] {
    const next = normals(seed)
    const random = seededRandom(seed + 1)
    return Array.from({ length: children }, (_, c) => {
      const own = pace * Math.exp(next() * 0.12)
      return Array.from({ length: 3 }, (_r, r): PacedRun => {
        const alone = random() * 100 < contaminated ? 1.4 + random() : 1
        const steps = Array.from({ length: 6 }, () => ({ ratio: own * alone * Math.exp(next() * 0.1), seconds: 20 }))
        return { child: `c${c}`, session: `s${r}`, at: r, steps }
      })
    }).flat()
  }
  const middle = (contaminated: number) => {
    const paces = Array.from({ length: 200 }, (_, i) => classPace(runsOf(24, 1.2, contaminated, 10 * i + 1))!.pace)
    return median(paces)
  }

  it('is shifted by less than 4 %% where 30 %% of the runs are left alone, which only lengthens', () => {
    expect(Math.abs(middle(30) / middle(0) - 1)).toBeLessThan(0.04)
  })

  it('is drawn towards the usual where children are few, and told only from eight of them and two sessions on', () => {
    const runs = runsOf(8, 1.5, 0, 3)
    const { pace, children } = classPace(runs)!
    expect(children).toBe(8)
    expect(pace).toBeGreaterThan(1.02)
    expect(pace).toBeLessThan(1.3)
    expect(classPace(runs.filter((run) => run.child !== 'c0'))).toBeUndefined()
    expect(classPace(runs.filter((run) => run.session === 's0'))).toBeUndefined()
  })

  it('is one child’s as any other’s, however often it runs', () => {
    const eager = Array.from({ length: 60 }, (_, i): PacedRun => ({
      child: 'eager',
      session: 's9',
      at: 100 + i,
      steps: Array.from({ length: 6 }, () => ({ ratio: 2.4, seconds: 20 })),
    }))
    const runs = runsOf(20, 1, 0, 8)
    expect(Math.abs(classPace([...runs, ...eager])!.pace - classPace(runs)!.pace)).toBeLessThan(0.03)
  })

  it('hears nothing of what was tapped away or left open for ever', () => {
    const runs = runsOf(20, 1, 0, 8)
    const noisy = runs.map((run) => ({
      ...run,
      steps: [...run.steps, { ratio: 0.01, seconds: 1 }, { ratio: 50, seconds: 900 }],
    }))
    expect(classPace(noisy)).toEqual(classPace(runs))
  })
})

describe('test days of a class', () => {
  const days = ['try-out', 'first', 'second']
  const pupils = Array.from({ length: 10 }, (_, i) => `p${i}`)
  const on = (day: string, value: (i: number) => number, tries = 1) =>
    pupils.flatMap((pupil, i) => Array.from({ length: tries }, (_, n) => ({ pupil, day, value: value(i) - n })))

  it('are compared child by child from the first that counts to the last, centimetres as they are, holds as ratios', () => {
    const reach = [...on('try-out', () => 0), ...on('first', (i) => i), ...on('second', (i) => i + 2)]
    expect(testChange('sitAndReach', days, reach)).toMatchObject({ both: 10, any: 10, median: 2, kind: 'absolute' })
    const hold = [...on('first', (i) => 10 + i), ...on('second', (i) => (10 + i) * 1.5)]
    expect(Math.exp(testChange('hold', days, hold)!.median)).toBeCloseTo(1.5, 10)
  })

  it('say nothing of a try-out, of few children, of a pulse, of another number of tries', () => {
    const reach = [...on('first', (i) => i), ...on('second', (i) => i + 2)]
    expect(testChange('sitAndReach', days.slice(0, 2), reach)).toBeUndefined()
    expect(testChange('pulse', days, reach)).toBeUndefined()
    expect(
      testChange(
        'sitAndReach',
        days,
        reach.filter((t) => Number(t.pupil.slice(1)) < 7),
      ),
    ).toBeUndefined()
    const more = [...on('first', (i) => i), ...on('second', (i) => i + 2, 2)]
    expect(testChange('sitAndReach', days, more)).toBeUndefined()
    const some = reach.filter((t) => t.day === 'first' || t.pupil !== 'p9')
    expect(testChange('sitAndReach', days, some)).toMatchObject({ both: 9, any: 10 })
  })
})
