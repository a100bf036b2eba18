import { describe, expect, it } from 'vitest'
import { changeSeconds, postureSeconds, startStance } from '../src/timing/changeOver.ts'
import { countedWork } from '../src/timing/countedWork.ts'
import { breathSeconds, defaultPace } from '../src/timing/pace.ts'
import { explainingSeconds, firstDose, timeline, totals, type Block, type Lap } from '@esfuerzo/core'
import { library, sessionOf, station, stations, typicalSeconds } from './sessions.ts'

type Intervals = Extract<Block, { form: 'intervals' }>
const laps = (n: number, work: number, rest: number): Lap[] => Array.from({ length: n }, () => ({ work, rest }))
const intervals = (n: number, all: Lap[], more: Partial<Intervals> = {}): Intervals => ({
  id: 'b1',
  form: 'intervals',
  stations: stations(n),
  laps: { all },
  ...more,
})
const secondsOf = (...blocks: Block[]) => {
  const session = sessionOf(blocks)
  return typicalSeconds(timeline(session, 'g1', library))
}

describe('timed forms: arithmetic', () => {
  it.each<[string, number, Block]>([
    // The format of Tabata et al. 1996, Med Sci Sports Exerc 28:1327 (that study used a cycle and adults).
    ['20/10 × 8', 240, intervals(1, laps(8, 20, 10))],
    ['20/10 × 6', 180, intervals(1, laps(6, 20, 10))],
    ['20/10 × 6 without the last rest', 170, intervals(1, laps(6, 20, 10), { lastRest: false })],
    ['10 × 30/15 without the last rest', 435, intervals(10, laps(1, 30, 15), { lastRest: false })],
    [
      'the same twice with 98 s between',
      968,
      intervals(10, laps(2, 30, 15), { lastRest: false, lapRest: { all: 98 } }),
    ],
    ['10 × 2 at 30/15', 900, intervals(10, laps(2, 30, 15))],
    [
      '10 stations at 30/30, 60/45, 60/30',
      2550,
      intervals(10, [...laps(1, 30, 30), ...laps(1, 60, 45), ...laps(1, 60, 30)]),
    ],
    ['7 × 3 at 30/30', 1260, intervals(7, laps(3, 30, 30))],
    ['7 × 3 at 30/20', 1050, intervals(7, laps(3, 30, 20))],
    ['4 × 3 at 30/30', 720, intervals(4, laps(3, 30, 30))],
    ['3 × 2 × 30 s without rest', 180, intervals(3, laps(2, 30, 0))],
    // A lap rest of 0 exists and counts: 2 × (2 × 30 + 10) + 10 − 10 = 130.
    ['a lap rest of 0 stands in for the lap’s last rest', 150, intervals(2, laps(2, 30, 10), { lapRest: { all: 0 } })],
  ])('%s is %i s', (_, seconds, block) => {
    expect(secondsOf(block)).toBe(seconds)
  })

  it('3 + 10 + 10 + 10 + 10 + 5 min is 48 min', () => {
    const talks = [3, 10, 10, 10, 10, 5].map((min, i): Block => ({
      id: `b${i}`,
      form: 'talk',
      seconds: { all: min * 60 },
    }))
    expect(secondsOf(...talks)).toBe(48 * 60)
  })

  it('splits a slot of an exercise done each side in half, the odd second first, or takes two slots', () => {
    const stand = station('one-leg-stand', 'one-leg-stand')
    const split = timeline(sessionOf([{ ...intervals(0, laps(1, 31, 10)), stations: [stand] }]), 'g1', library)
    expect(split.map((s) => [s.kind, s.side, s.seconds.typical])).toEqual([
      ['work', 'first', 16],
      ['work', 'second', 15],
      ['rest', undefined, 10],
    ])
    const two = { ...intervals(0, laps(1, 31, 10)), stations: [stand], sideSlots: 2 as const }
    expect(typicalSeconds(timeline(sessionOf([two]), 'g1', library))).toBe(82)
  })

  it('gives each group its own laps', () => {
    const block: Block = {
      ...intervals(4, laps(3, 30, 30)),
      laps: { all: laps(3, 30, 30), by: { g2: laps(3, 30, 25), g3: laps(3, 40, 25) } },
    }
    const session = sessionOf(
      [block],
      [
        [0, 1],
        [2, 3],
        [4, 5, 6],
      ],
    )
    expect(session.groups.map((g) => typicalSeconds(timeline(session, g.id, library)))).toEqual([720, 660, 780])
  })
})

describe('counted work', () => {
  const older = { pace: 1, breath: 6 }

  // Observed, common practice, no source: led by an adult, grades 4–6, ± 15 %.
  it.each([
    [10, 17],
    [15, 26],
    [20, 36],
  ])('%i squats take about %i s', (reps, seconds) => {
    const squat = library.moves.get('squat')!.versions.find((v) => v.id === 'squat')!
    const { typical } = countedWork({ unit: 'reps', amount: reps }, { ...older, version: squat })
    expect(Math.abs(typical - seconds) / seconds).toBeLessThanOrEqual(0.15)
  })

  // Common practice: twenty counted aloud take 20 to 21 s. At one second per rep and a led tempo.
  it('twenty counted aloud take 20 to 21 s', () => {
    const { typical } = countedWork({ unit: 'reps', amount: 20 }, { ...older, version: { secondsPerRep: 1.02 } })
    expect(typical).toBeGreaterThanOrEqual(20)
    expect(typical).toBeLessThanOrEqual(21)
  })

  it.each([
    ['a range at its middle', { from: 10, to: 15 }, { low: 19, typical: 25, high: 34 }],
    ['a floor at its number', { atLeast: 10 }, { low: 15, typical: 20, high: 27 }],
    ['an open amount at 60 % of its cap, the slow end at the cap', { most: 30 }, { low: 27, typical: 36, high: 60 }],
  ])('times %s', (_, amount, span) => {
    expect(countedWork({ unit: 'reps', amount }, { ...older, version: { secondsPerRep: 2 } })).toEqual(span)
  })

  it('times seconds by the clock, but "as long as you can" by the child', () => {
    const version = { secondsPerRep: 4 }
    expect(countedWork({ unit: 'seconds', amount: 30 }, { ...older, version })).toEqual({
      low: 30,
      typical: 30,
      high: 30,
    })
    expect(countedWork({ unit: 'seconds', amount: { most: 60 } }, { ...older, version })).toEqual({
      low: 27,
      typical: 36,
      high: 60,
    })
  })

  it.each([
    ['led', 20],
    ['own', 23],
    ['slow', 40],
  ] as const)('ten reps of 2 s at %s tempo take %i s', (tempo, seconds) => {
    expect(countedWork({ unit: 'reps', amount: 10 }, { ...older, tempo, version: { secondsPerRep: 2 } }).typical).toBe(
      seconds,
    )
  })

  it('paces groups by the mean of their grades, and rounds halves up', () => {
    expect(
      [
        [0, 1],
        [2, 3],
        [4, 5, 6],
      ].map((grades) => defaultPace({ grades })),
    ).toEqual([1.25, 1.1, 1])
    expect(defaultPace({ grades: [1, 2] })).toBeCloseTo(1.175, 10)
    // 5 × 2 × 1.25 = 12.5
    expect(
      countedWork({ unit: 'reps', amount: 5 }, { version: { secondsPerRep: 2 }, pace: 1.25, breath: 5 }).typical,
    ).toBe(13)
  })

  it('breathes in 6 s, up to grade 1 in 5 s', () => {
    expect(
      [
        [0, 1],
        [1, 2],
        [2, 3],
      ].map((grades) => breathSeconds({ grades })),
    ).toEqual([5, 5, 6])
    const block: Block = {
      id: 'b1',
      form: 'list',
      restAfter: { all: 0 },
      stations: [station('breathe', 'breathe', { dose: { unit: 'breaths', amount: 3 } })],
    }
    const session = sessionOf([block], [[0], [4]])
    expect(session.groups.map((g) => typicalSeconds(timeline(session, g.id, library)))).toEqual([15, 18])
  })
})

describe('changing over (common practice, no source)', () => {
  it('takes 1, 3 or 4 s by posture', () => {
    expect(postureSeconds('standing', 'standing')).toBe(1)
    expect(postureSeconds('standing', 'leaning')).toBe(1)
    expect(postureSeconds('leaning', 'kneeling')).toBe(3)
    expect(postureSeconds('handsAndFeet', 'standing')).toBe(3)
    expect(postureSeconds('handsAndFeet', 'lyingBack')).toBe(4)
    expect(postureSeconds('seated', 'standing')).toBe(4)
  })

  it('takes 3 s for each thing put down or picked up; a session starts standing, with empty hands', () => {
    const bag = { posture: 'standing' as const, held: ['school-bag'], begun: true }
    expect(changeSeconds(startStance, { ...startStance, begun: true })).toBe(0)
    expect(changeSeconds(startStance, bag)).toBe(3)
    expect(changeSeconds(bag, { posture: 'lyingBack', held: ['bottle'], begun: true })).toBe(10)
  })

  const dose = { unit: 'reps' as const, amount: 10 }
  const list = (restAfter: number): Block => ({
    id: 'b1',
    form: 'list',
    restAfter: { all: restAfter },
    stations: [station('squat', 'squat', { dose }), station('bridge', 'bridge', { dose })],
  })

  it('is × pace, and after a rest only the part that the rest did not cover is added', () => {
    // grades 4–6: 17.5 → 18, to the floor 4, 24; K–1: 21.875 → 22, 5, 30
    const session = sessionOf([list(0)], [[4], [0]])
    expect(timeline(session, 'g1', library).map((s) => [s.kind, s.seconds.typical])).toEqual([
      ['work', 18],
      ['change', 4],
      ['work', 24],
    ])
    expect(timeline(session, 'g2', library).map((s) => s.seconds.typical)).toEqual([22, 5, 30])
    expect(timeline(sessionOf([list(3)]), 'g1', library).map((s) => [s.kind, s.seconds.typical])).toEqual([
      ['work', 18],
      ['rest', 3],
      ['change', 1],
      ['work', 24],
    ])
    expect(timeline(sessionOf([list(4)]), 'g1', library).map((s) => s.kind)).toEqual(['work', 'rest', 'work'])
  })

  it('rests only in between, and never adds a change-over to a clock', () => {
    expect(timeline(sessionOf([list(10)]), 'g1', library).at(-1)!.kind).toBe('work')
    const down: Block = {
      id: 'b1',
      form: 'intervals',
      stations: [station('squat', 'squat'), station('bridge', 'bridge')],
      laps: { all: laps(1, 20, 0) },
    }
    expect(secondsOf(down)).toBe(40)
  })

  it('does both sides of a counted dose with a switch of 1 s in between', () => {
    const block: Block = {
      id: 'b1',
      form: 'list',
      restAfter: { all: 0 },
      stations: [station('hamstring-stretch', 'hamstring-stretch', { dose: { unit: 'seconds', amount: 20 } })],
    }
    expect(timeline(sessionOf([block]), 'g1', library).map((s) => [s.kind, s.side, s.seconds.typical])).toEqual([
      ['work', 'first', 20],
      ['switch', undefined, 1],
      ['work', 'second', 20],
    ])
  })
})

it('takes 15 s to explain a new exercise and 8 s for each further version', () => {
  const cells = {
    all: { move: 'squat-jump', version: 'squat-jump' },
    by: { g2: { move: 'squat-jump', version: 'frog' }, g3: { move: 'squat-jump', version: 'rise' } },
  }
  const blocks: Block[] = [
    { id: 'b1', form: 'intervals', laps: { all: laps(1, 20, 10) }, stations: [{ id: 's1', cells }, ...stations(2)] },
  ]
  const groups = sessionOf(blocks, [[4], [0], [1]]).groups
  // squat jump 15 + 2 × 8, jumping jack 15
  expect(explainingSeconds(blocks, groups, library)).toBe(46)
  expect(explainingSeconds(blocks, groups, library, new Set(['squat-jump']))).toBe(15)
})

it('holds a stretch 10 s by default up to grade 2 and 20 s above, inside the published 10–30 s (Garber et al. 2011)', () => {
  const quad = library.moves.get('quad-stretch')!
  expect(firstDose(quad, { grades: [2, 3] }, 'list')).toEqual({ unit: 'seconds', amount: 10 })
  expect(firstDose(quad, { grades: [3, 4] }, 'list')).toEqual({ unit: 'seconds', amount: 20 })
  expect(firstDose(quad, { grades: [3] }, 'intervals')).toBeUndefined()
})

it('adds up work, rest, reps, landings, muscles and the active share', () => {
  const jumps: Block = {
    id: 'b1',
    form: 'intervals',
    laps: { all: laps(2, 18, 12) },
    stations: [station('squat-jump', 'tuck-jump'), station('jumping-jack', 'jumping-jack')],
  }
  const talk: Block = { id: 'b2', form: 'talk', seconds: { all: 30 } }
  const workout = sessionOf([jumps, talk])
  const { session, blocks } = totals(timeline(workout, 'g1', library), workout.groups[0]!, library)
  expect(session).toMatchObject({ work: 72, rest: 48, talk: 30, change: 0, active: 72 / 150, hardLandings: 18 })
  // 2 × 18 s of tuck jumps at 2 s and of jacks at 0.9 s; landings weigh 1 and 0.25
  expect(session.reps['squat-jump']).toBeCloseTo(18, 10)
  expect(session.reps['jumping-jack']).toBeCloseTo(40, 10)
  expect(session.landings).toBeCloseTo(28, 10)
  expect(session.muscles).toMatchObject({ quadriceps: 36, glutes: 36, calves: 36 })
  expect(blocks.b1!.seconds.typical + blocks.b2!.seconds.typical).toBe(session.seconds.typical)
})
