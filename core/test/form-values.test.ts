import { binomialDistribution } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import * as core from '@esfuerzo/core'
import type { Sum } from '../src/sums/sums.ts'
import type { SayCode } from '../src/timing/step.ts'
import { formSentences } from '../src/words/formWords.ts'
import { clearedDraws, sumOfDraws } from '../src/distribution/draws.ts'
import { amrapRounds } from '../src/forms/amrap/time.ts'
import { rungs } from '../src/forms/ladder/schema.ts'
import { sumsFor } from '../src/sums/sums.ts'
import { timeline, totals, type Block, type BlockOf } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { spreadOf } from '@esfuerzo/core/tools'
import { library, sessionOf, station, stations, typicalSeconds } from './sessions.ts'

const stepsOf = (block: Block, grades = [[4, 5, 6]]) => timeline(sessionOf([block], grades), 'g1', library)
const secondsOf = (block: Block) => typicalSeconds(stepsOf(block))
const reps = (amount: number) => ({ dose: { unit: 'reps' as const, amount } })
const secs = (amount: number) => ({ dose: { unit: 'seconds' as const, amount } })
/** A session typed on a whiteboard, timed for its first group. */
const typed = (...lines: string[]) => {
  const { workout: session, problems } = parse(['groups 4-6', '## Main part', ...lines].join('\n'), library)
  expect(problems).toEqual([])
  return timeline(session, 'g1', library)
}

describe('check values that need other forms', () => {
  it('3 × 2 × 30 s without rest is 180 s', () => {
    const rounds: BlockOf<'rounds'> = {
      id: 'b1',
      form: 'rounds',
      stations: [1, 2, 3].map(() => station('jog', 'jog', secs(30))),
      rounds: { all: 2 },
      restBetween: { all: 0 },
      restStations: { all: 0 },
    }
    // By the clock, plus a second from one exercise to the next.
    expect(typicalSeconds(stepsOf(rounds))).toBe(180 + 5)
  })

  it('a ladder 1–10 is 55 of each', () => {
    const steps = typed('ladder 1-10', 'squat', 'push-up')
    const { session } = totals(steps, sessionOf([]).groups[0]!, library)
    expect([session.reps.squat, session.reps['push-up']]).toEqual([55, 55])
    expect(rungs(1, 4, 1, 'upDown')).toEqual([1, 2, 3, 4, 3, 2, 1])
    expect(rungs(10, 20, 5, 'down')).toEqual([20, 15, 10])
  })

  // Observed (common practice, no source; led by an adult, group 4–6).
  it('the ladder 1–10 of desk press-up, plank, jumping jack and squat takes 310 s ± 15 %', () => {
    // At the desk, where nobody gets down to the floor: including change-overs.
    const steps = typed('ladder 1-10', 'desk push-up', 'desk plank', 'jumping jack', 'squat')
    expect(Math.abs(typicalSeconds(steps) - 310)).toBeLessThanOrEqual(310 * 0.15)
  })

  it('nine cardio reps with drawing and reading a card take 21 s ± 20 %', () => {
    // A card of nine: 8 s to draw and read it, then nine of the hardest cardio exercise of the library.
    const steps = typed('star jump 9')
    expect(Math.abs(8 + typicalSeconds(steps) - 21)).toBeLessThanOrEqual(21 * 0.2)
  })

  it('eight sums with 72 reps take 158 s plus thinking, ± 20 %', () => {
    const moves = ['squat', 'push-up', 'lunge', 'star-jump', 'curl-up', 'bridge', 'squat-jump', 'calf-raise']
    const nine = sessionOf([
      {
        id: 'b1',
        form: 'sums',
        stations: moves.map((id) => {
          const [move, version] =
            id === 'star-jump' ? ['jumping-jack', 'star-jump'] : [id, library.moves.get(id)!.standard]
          return station(move!, version!)
        }),
        range: { all: { from: 9, to: 9 } },
        unit: 'reps',
        same: true,
        seed: 1,
      },
    ])
    const steps = timeline(nine, 'g1', library)
    expect(totals(steps, nine.groups[0]!, library).session.talk).toBe(8 * 8)
    // The whole sum, including getting down and up again between them.
    expect(Math.abs(typicalSeconds(steps) - 8 * 8 - 158)).toBeLessThanOrEqual(158 * 0.2)
  })
})

describe('rests of counted forms come only in between', () => {
  const two = [station('squat', 'squat', reps(10)), station('push-up', 'push-up', reps(10))]
  const kinds = (block: Block) =>
    stepsOf(block)
      .filter((s) => s.kind === 'rest')
      .map((s) => s.seconds.typical)

  it('rounds: the rest between rounds replaces the one between stations', () => {
    const rounds: BlockOf<'rounds'> = {
      id: 'b1',
      form: 'rounds',
      stations: two,
      rounds: { all: 3 },
      restBetween: { all: 60 },
      restStations: { all: 15 },
    }
    expect(kinds(rounds)).toEqual([15, 60, 15, 60, 15])
    expect(stepsOf({ ...rounds, betweenLaps: 'pulse' }).filter((s) => s.kind === 'measure')).toHaveLength(2)
  })

  it('sets: all sets of one exercise, then the next', () => {
    const sets: BlockOf<'sets'> = {
      id: 'b1',
      form: 'sets',
      stations: two,
      sets: { all: 2 },
      restBetween: { all: 45 },
      restStations: { all: 90 },
    }
    expect(kinds(sets)).toEqual([45, 90, 45])
    expect(
      stepsOf(sets)
        .filter((s) => s.kind === 'work')
        .map((s) => [s.move, s.set]),
    ).toEqual([
      ['squat', 1],
      ['squat', 2],
      ['push-up', 1],
      ['push-up', 2],
    ])
  })

  it('a cap cuts the step that reaches it, also for a slow child', () => {
    const capped: BlockOf<'rounds'> = {
      id: 'b1',
      form: 'rounds',
      stations: two,
      rounds: { all: 9 },
      restBetween: { all: 0 },
      restStations: { all: 0 },
      cap: { all: 100 },
    }
    const steps = stepsOf(capped)
    const total = (end: 'low' | 'typical' | 'high') => steps.reduce((sum, s) => sum + s.seconds[end], 0)
    expect([total('low'), total('typical'), total('high')]).toEqual([100, 100, 100])
    expect(steps.at(-1)!.reps).toBeUndefined()
  })
})

describe('as many rounds as possible', () => {
  it('counts to a tenth, each round after the second 4 % longer than the one before', () => {
    const amrap: BlockOf<'amrap'> = {
      id: 'b1',
      form: 'amrap',
      stations: [station('squat', 'squat', reps(20))],
      cap: { all: 600 },
    }
    const group = sessionOf([amrap]).groups[0]!
    // 20 squats of 1.75 s are 35 s, plus a second to start again; the third round is 4 % longer, and so on.
    let left = 600
    let rounds = 0
    let next = 0
    for (let r = 1; ; r++) {
      next = Math.floor(35 * 1.04 ** Math.max(0, r - 2) + 0.5) + (r > 1 ? 1 : 0)
      if (next > left) break
      left -= next
      rounds = r
    }
    expect(amrapRounds(amrap, group, library)).toBe(Math.floor((rounds + left / next) * 10 + 1e-9) / 10)
    expect(secondsOf(amrap)).toBe(600)
    expect(amrapRounds({ ...amrap, stations: [] }, group, library)).toBe(0)
  })
})

describe('chance', () => {
  it('a coin sheet of 6 + 6 takes 14.707 flips until both columns are done', () => {
    const { mean, low, high } = spreadOf(clearedDraws([6, 6]))
    expect(mean).toBeCloseTo(14.707, 3)
    // Closed form: a flip is still needed after k as long as either side has come up at most five times. Up to the eleventh flip that is
    // certain; from the twelfth on both at once is impossible. Binomial by a reference package.
    const atMostFive = (k: number) =>
      binomialDistribution(k, 0.5)!
        .slice(0, 6)
        .reduce((a, b) => a + b, 0)
    const closed = 12 + Array.from({ length: 150 }, (_, i) => 2 * atMostFive(12 + i)).reduce((a, b) => a + b, 0)
    expect(mean).toBeCloseTo(closed, 6)
    expect([low, high].every((n) => n >= 12)).toBe(true)
  })

  it('dice: the mean and the spread of a sum are the textbook’s', () => {
    expect(spreadOf(sumOfDraws([1, 2, 3, 4, 5, 6], 2))).toEqual({ low: 3, mean: expect.closeTo(7, 10), high: 11 })
  })

  it('a sheet: every row once, each with its flip, plus the wasted flips', () => {
    const steps = typed('coin', 'heads: squat 10', 'heads: push-up 5', 'tails: jumping jack 20', 'tails: plank 20 s')
    expect(steps.filter((s) => s.say.code === 'chance.draw')).toHaveLength(4)
    const total = (end: 'low' | 'typical' | 'high') => steps.reduce((sum, s) => sum + s.seconds[end], 0)
    // Squats 22 or 26, push-ups, jacks, a plank, their change-overs, and at least four flips.
    expect(total('low')).toBeGreaterThanOrEqual(4 * 12)
    expect(total('high')).toBeGreaterThan(total('typical') + 2 * 12)
  })

  it('a toss of five brings five reps per round, whichever side they fall on', () => {
    const steps = typed('toss 5, 4 rounds: jumping jack | squat')
    const work = steps.filter((s) => s.kind === 'work')
    for (let round = 1; round <= 4; round++)
      expect(work.filter((s) => s.lap === round).reduce((n, s) => n + s.reps!, 0)).toBe(5)
    expect(
      steps.filter((s) => s.kind === 'change' && s.say.code === 'chance.draw').every((s) => s.seconds.typical === 35),
    ).toBe(true)
  })
})

describe('sums', () => {
  const block: BlockOf<'sums'> = {
    id: 'b1',
    form: 'sums',
    stations: stations(8),
    range: { all: { from: 5, to: 12 } },
    unit: 'reps',
    same: true,
    seed: 3,
  }
  const group = (id: string, grades: number[]) => ({ id, grades })
  const inWords = (sum: Sum, language: core.Language) =>
    core
      .sayText({ code: 'sums.sum', params: { ...sum.written } }, core.moveNames(library.moves), language)
      .replace(/: (do that many|ese número)$/, '')
  /** The value of a sum, computed by the test itself. */
  const reckon = (text: string): number => {
    const missing = /^(\d+) \+ \? = (\d+)$/.exec(text)
    if (missing) return Number(missing[2]) - Number(missing[1])
    const double = /^double (\d+)(, and 1)?$/.exec(text)
    if (double) return 2 * Number(double[1]) + (double[2] ? 1 : 0)
    const [, a, op, b, minus] = /^(\d+) ([+−×÷]) (\d+)(?: − (\d+))?$/.exec(text)!
    const [x, y] = [Number(a), Number(b)]
    const plain = op === '+' ? x + y : op === '−' ? x - y : op === '×' ? x * y : x / y
    return plain - Number(minus ?? 0)
  }

  it('give their answers, inside the range, never twice, the same for every lane', () => {
    for (const grades of [[0], [1], [2, 3], [4], [5, 6]]) {
      const sums = sumsFor(block, group(`g${grades[0]}`, grades))
      for (const sum of sums) {
        const { answer } = sum
        expect(reckon(inWords(sum, 'en'))).toBe(answer)
        expect(answer).toBeGreaterThanOrEqual(5)
        expect(answer).toBeLessThanOrEqual(12)
      }
      expect(new Set(sums.map((s) => s.written.text)).size).toBe(8)
      expect(sums.map((s) => s.answer)).toEqual(sumsFor(block, group('g1', [4])).map((s) => s.answer))
    }
  })

  it('repeat no answer before every one was asked, within a block and across blocks', () => {
    const apart = { ...block, same: false }
    for (let seed = 0; seed < 200; seed++) {
      // Eight stations with answers from 5 to 12, then four more with 5 to 16.
      const asked = new Set<string>()
      const first = sumsFor({ ...apart, seed }, group('g1', [3]), asked).map((s) => s.answer)
      expect(new Set(first).size).toBe(8)
      const more = { ...apart, seed: seed + 1, stations: stations(4), range: { all: { from: 5, to: 16 } } }
      const second = sumsFor(more, group('g1', [3]), asked).map((s) => s.answer)
      expect(new Set([...first, ...second]).size).toBe(12)
      expect(new Set(sumsFor({ ...block, seed }, group('g1', [3])).map((s) => s.answer)).size).toBe(8)
    }
  })

  it('are Spanish in Spanish, including those of sessions sent earlier', () => {
    const doubles = sumsFor({ ...block, operations: ['double'] }, group('g1', [4]))
    const doubled = doubles.filter((s) => s.operation === 'double')
    expect(doubled.length).toBeGreaterThan(3)
    for (const sum of doubled) expect(inWords(sum, 'es')).toMatch(/^el doble de \d+(, y 1 más)?$/)
    const before = { code: 'sums.sum', params: { text: 'double 4, and 1' } } as const
    expect(core.sayText(before, core.moveNames(library.moves), 'es')).toBe('el doble de 4, y 1 más: ese número')
  })

  it('stay within a grade’s arithmetic, and repeat with the same seed', () => {
    const kinder = sumsFor({ ...block, range: { all: { from: 2, to: 10 } } }, group('g1', [0]))
    expect(kinder.every((s) => s.operation === 'add')).toBe(true)
    expect(sumsFor(block, group('g2', [3]))).toEqual(sumsFor(block, group('g2', [3])))
    expect(sumsFor({ ...block, seed: 4 }, group('g2', [3]))).not.toEqual(sumsFor(block, group('g2', [3])))
    const own = sumsFor({ ...block, operations: ['double'] }, group('g1', [4]))
    expect(own.some((s) => inWords(s, 'en').startsWith('double'))).toBe(true)
    // Grade 2 calculates within 20 (common practice, no source): none of its sums has a larger number.
    const second = sumsFor({ ...block, range: { all: { from: 15, to: 19 } } }, group('g1', [2]))
    for (const { written } of second)
      expect(Math.max(...written.text.match(/\d+/g)!.map(Number)), written.text).toBeLessThanOrEqual(20)
  })
})

it('a relay for two gives the other child as long as oneself, without a swap at its ends', () => {
  const steps = typed('relay 2 rounds, change 4 s', 'jumping jack 20 s', 'march 10 s').filter(
    (s) => s.kind !== 'change',
  )
  expect(steps.map((s) => [s.kind, s.say.code === 'relay.other' ? 'other' : 'own', s.seconds.typical])).toEqual(
    [20, 10, 20, 10].flatMap((seconds, i) => [
      ...(i > 0 ? [['rest', 'own', 4]] : []),
      ['work', 'own', seconds],
      ['rest', 'own', 4],
      ['rest', 'other', seconds],
    ]),
  )
})

it('levels, targets, games, measures, calls and quizzes take their seconds', () => {
  const total = (...lines: string[]) => typicalSeconds(typed(...lines))
  // Changing over is part of a level's time.
  expect(total('levels 2-3, each 60 s, bonus', 'march', 'jog', 'high knees', 'star jump')).toBe(60 * 3)
  // Throwing, collecting, writing down.
  expect(total('target 1 m = 1 and 2 m = 2, 5 throws, 3 rounds')).toBe(3 * (20 + 15 + 5))
  expect(total('game 3 min')).toBe(180)
  expect(total('measure sit and reach before, 2 trials')).toBe(110)
  expect(total('measure pulse')).toBe(20)
  expect(total('calls every 8 s, for 2 min', 'top: march', 'down: squat')).toBe(120)
  expect(
    total('quiz', 'ask: What works? | *the calves | the neck', 'ask: And now? | yes | *no | because: it is late'),
  ).toBe(40)
})

it('every saying of a form has words in every language, without an unfilled placeholder', () => {
  const names = core.moveNames(library.moves)
  const codes = Object.keys(formSentences.en) as SayCode[]
  expect(codes.every((code) => core.forms.some((form) => code.startsWith(`${form}.`)))).toBe(true)
  for (const language of core.languages) {
    expect(Object.keys(formSentences[language]).sort()).toEqual([...codes].sort())
    for (const code of codes) {
      const params = { move: 'squat', title: 'T', text: 'x', n: 1, of: 2, face: 'heads' } as const
      expect(core.sayText({ code, params }, names, language)).not.toMatch(/undefined|^$/)
    }
  }
})
