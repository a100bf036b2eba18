import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { stepCues } from '../src/cues/stepCues.ts'
import { type Session } from '@esfuerzo/core'
import { cuesAhead } from '@esfuerzo/core/cues'
import { publish } from '@esfuerzo/core/publication'
import {
  advance,
  back,
  choose,
  courseOf,
  done,
  leftCounted,
  makeEasier,
  moreTime,
  pause,
  pick,
  resume,
  skip,
  startRun,
  stepElapsed,
  stepsDone,
  stepView,
  tick,
  type Course,
  type PlayerState,
  type Start,
} from '@esfuerzo/core/run'
import { sessionArbitrary } from './arbitraries.ts'
import { library, sessionOf, station } from './sessions.ts'

const courseFor = (w: Session, ids = w.groups.map((g) => g.id)): Course => courseOf(publish(w, library), ids)
/** The lane's state with some fields changed. */
const at = (state: PlayerState, more: object): PlayerState => ({ lanes: state.lanes.map((l) => ({ ...l, ...more })) })

const session = sessionOf([
  {
    id: 'b1',
    form: 'list',
    restAfter: { all: 5 },
    stations: [
      station('squat', 'squat', { dose: { unit: 'reps', amount: 10 } }),
      station('march', 'march', { dose: { unit: 'seconds', amount: 20 } }),
    ],
  },
])
// work 13/18/24 s by count, rest 5 s, work 20 s
const course = courseFor(session, ['g1'])
const { steps } = course.lanes[0]!
const begin = startRun(course, 0)

describe('the player', () => {
  it('leaves steps at the second they run out, however late it is updated', () => {
    const doneAt = done(startRun(course, 100), course, 0, 124)
    const late = tick(doneAt, course, 124 + 5 + 3.7)
    expect(late.lanes[0]).toMatchObject({ index: 2, began: 129 })
    expect(tick(late, course, 1e6).lanes[0]!.index).toBe(3)
  })

  it('reaches the same place whether updated often or once, with one lane or two', () => {
    fc.assert(
      fc.property(sessionArbitrary, fc.array(fc.double({ min: 0, max: 40, noNaN: true })), (w, gaps) => {
        const sent = publishable(w)
        if (!sent) return
        const both = courseOf(
          sent,
          w.groups.slice(0, 2).map((g) => g.id),
        )
        let now = 0
        let often = startRun(both, 0)
        const starts: Start[] = []
        for (const gap of gaps) {
          const next = advance(often, both, (now += gap))
          often = next.state
          starts.push(...next.starts)
        }
        const once = advance(startRun(both, 0), both, now)
        expect(often).toEqual(once.state)
        expect(starts).toEqual(once.starts)
      }),
    )
  })

  it('waits for "done" in counted work, however long it takes, but not in timed work', () => {
    expect(done(begin, course, 0, 9).lanes[0]).toMatchObject({ index: 1, began: 9 })
    expect(done(at(begin, { index: 2 }), course, 0, 9).lanes[0]!.index).toBe(2)
    expect(tick(begin, course, 9999).lanes[0]!.index).toBe(0)
  })

  it('stands still while paused, for any time', () => {
    const paused = pause(tick(done(begin, course, 0, 24), course, 26), 26)
    expect(tick(paused, course, 9999)).toBe(paused)
    const on = resume(paused, 10_000)
    expect(stepElapsed(on, 0, 10_001)).toBe(stepElapsed(paused, 0, 0) + 1)
    expect(on.pausedAt).toBeUndefined()
  })

  it('goes back to the start of a step, or right at its start to the one before; skips are counted and undone', () => {
    const second = skip(begin, course, 0, 4)
    expect(second.lanes[0]).toMatchObject({ index: 1, skipped: [0] })
    expect(stepsDone(second, course, 0)).toEqual({ done: 0, skipped: 1, easier: 0 })
    expect(back(second, course, 0, 5).lanes[0]).toMatchObject({ index: 0, began: 5, skipped: [] })
    expect(back(second, course, 0, 8.5).lanes[0]).toMatchObject({ index: 1, began: 8.5 })
    expect(back(begin, course, 0, 1).lanes[0]!.index).toBe(0)
    expect(skip(at(begin, { index: 3 }), course, 0, 1).lanes[0]!.index).toBe(3)
  })

  it('ends a block with a cap when its time is up: current and remaining steps count as nothing', () => {
    const capped = courseFor(
      sessionOf([
        {
          id: 'b1',
          form: 'rounds',
          rounds: { all: 3 },
          restBetween: { all: 10 },
          restStations: { all: 0 },
          cap: { all: 60 },
          stations: [station('squat', 'squat', { dose: { unit: 'reps', amount: 10 } })],
        },
        { id: 'b2', form: 'talk', seconds: { all: 30 } },
      ]),
      ['g1'],
    )
    const { steps } = capped.lanes[0]!
    const talk = steps.findIndex((s) => s.block === 'b2')
    const start = startRun(capped, 0)
    // A slow child is still at its first squats: it was not pushed on before, and the cap stops it like everybody.
    expect(tick(start, capped, 59.9).lanes[0]!.index).toBe(0)
    const over = tick(start, capped, 61)
    expect(over.lanes[0]).toMatchObject({ index: talk, began: 60 })
    expect(stepsDone(over, capped, 0)).toMatchObject({ done: 1, skipped: 0 })
    expect(leftCounted(start, over, capped, 0, { seen: true, spoken: true })).toMatchObject({ seconds: 60, by: 'cap' })
    // A pause does not count, and going back does not give the time back.
    const paused = resume(pause(tick(start, capped, 20), 20), 120)
    expect(tick(paused, capped, 159).lanes[0]!.index).toBe(0)
    expect(tick(paused, capped, 160).lanes[0]!.index).toBe(talk)
    const second = done(tick(done(start, capped, 0, 20), capped, 31), capped, 0, 40)
    const again = back(second, capped, 0, 41)
    expect(tick(again, capped, 41 + 60).lanes[0]!.index).toBe(talk)
  })

  it('gives ten seconds more to the current step only', () => {
    const more = moreTime(at(begin, { index: 2 }), 0, 10)
    expect(tick(more, course, 29.9).lanes[0]!.index).toBe(2)
    expect(tick(more, course, 30).lanes[0]!.index).toBe(3)
    expect(stepView(steps[2]!, 20, 10)).toMatchObject({ secondsLeft: 10, share: 20 / 30 })
  })

  it('makes a station easier from now on, and counts what was done that way', () => {
    const twice = courseFor(sessionOf([laps('squat-jump', 'squat-jump')]), ['g1'])
    const eased = makeEasier(startRun(twice, 0), twice, 0)
    const { station: id } = twice.lanes[0]!.steps[0]!
    expect(eased.lanes[0]!.easier).toEqual({ [id!]: 1 })
    expect(makeEasier(eased, twice, 0).lanes[0]!.easier).toEqual({ [id!]: 2 })
    expect(stepsDone(tick(eased, twice, 1e6), twice, 0)).toEqual({ done: 2, skipped: 0, easier: 2 })
    expect(stepsDone(skip(eased, twice, 0, 1), twice, 0).easier).toBe(0)
  })

  it('remembers what a child chose and picked', () => {
    const chosen = choose(begin, course, 0, 'lunge')
    expect(chosen.lanes[0]!.chosen).toEqual({ [steps[0]!.station!]: 'lunge' })
    expect(pick(begin, 0, 4, 'x').lanes[0]!.picked).toEqual({ 4: 'x' })
  })

  it('shows 20 first and 1 last of twenty seconds, and the figure’s current rep', () => {
    expect([0, 0.2, 18.9, 19.5].map((t) => stepView(steps[2]!, t).secondsLeft)).toEqual([20, 20, 2, 1])
    expect([0, 1.7, 1.9, 17.9, 22].map((t) => stepView(steps[0]!, t).rep)).toEqual([1, 1, 2, 10, 10])
  })
})

const laps = (move: string, version: string): Session['sections'][number]['blocks'][number] => ({
  id: 'b',
  form: 'intervals',
  laps: { all: [1, 2].map(() => ({ work: 20, rest: 10 })) },
  stations: [station(move, version)],
})
/** The publication of a session; undefined if nobody has anything to do. */
function publishable(w: Session) {
  try {
    return publish(w, library)
  } catch {
    return undefined
  }
}

describe('two lanes side by side', () => {
  const pair = sessionOf(
    [
      {
        id: 'b1',
        form: 'intervals',
        lastRest: false,
        laps: { all: [{ work: 30, rest: 0 }], by: { g2: [{ work: 20, rest: 0 }] } },
        stations: [station('march', 'march')],
      },
      { id: 'b2', form: 'talk', seconds: { all: 10 } },
    ],
    [[0], [4]],
  )
  const both = courseFor(pair)

  it('are in step at the start of a block: the first one there waits, and both begin at the same second', () => {
    const early = tick(startRun(both, 0), both, 25)
    expect(early.lanes.map((l) => [l.index, l.waiting ?? false])).toEqual([
      [0, false],
      [1, true],
    ])
    expect(stepElapsed(early, 1, 25)).toBe(0)
    const { starts } = advance(early, both, 35)
    expect(starts).toEqual([
      { lane: 0, index: 1, at: 30 },
      { lane: 1, index: 1, at: 30 },
    ])
    expect(tick(early, both, 40).lanes.map((l) => l.index)).toEqual([2, 2])
  })

  it('wait for nobody who has finished; a waiting lane can neither skip nor be done', () => {
    const early = tick(startRun(both, 0), both, 25)
    expect(skip(early, both, 1, 26)).toBe(early)
    expect(done(early, both, 1, 26)).toBe(early)
    const gone = skip(skip(early, both, 0, 26), both, 0, 26)
    expect(gone.lanes.map((l) => [l.index, l.waiting ?? false])).toEqual([
      [2, false],
      [1, false],
    ])
  })

  it('never wait forever: in any session, both reach the end by pressing "done" repeatedly', () => {
    fc.assert(
      fc.property(sessionArbitrary, (w) => {
        const sent = publishable(w)
        if (!sent) return
        const ids = w.groups.slice(0, 2).map((g) => g.id)
        const two = courseOf(sent, ids)
        const length = two.lanes.map((l) => l.steps.length)
        let now = 0
        let end = startRun(two, 0)
        for (let tap = 0; tap <= length[0]! + (length[1] ?? 0); tap++) {
          end = tick(end, two, (now += 1e4))
          for (const lane of two.lanes.keys()) end = done(end, two, lane, now)
        }
        expect(tick(end, two, now + 1e6).lanes.map((l) => l.index)).toEqual(length)
      }),
    )
  })
})

describe('sounds', () => {
  it('of a slot: its bell, half-way, the last three seconds; of a rest no half-way; of counted work its reps', () => {
    const clock = { low: 30, typical: 30, high: 30 }
    expect(stepCues({ kind: 'work', by: 'clock', seconds: clock }, 30)).toEqual([
      { at: 0, kind: 'bell', tone: 'work' },
      { at: 15, kind: 'half' },
      { at: 27, kind: 'tick', left: 3 },
      { at: 28, kind: 'tick', left: 2 },
      { at: 29, kind: 'tick', left: 1 },
    ])
    expect(stepCues({ kind: 'rest', by: 'clock', seconds: clock }, 30).map((c) => c.kind)).not.toContain('half')
    expect(stepCues(steps[0]!, 24).filter((c) => c.kind === 'count')).toHaveLength(10)
    expect(stepCues({ kind: 'work', by: 'clock', seconds: clock, side: 'first' }, 4)).toHaveLength(1)
  })

  it('ahead are those heard if nobody does anything, to the end and its bell', () => {
    // Counted work lasts as long as it takes: nothing after it can be predicted.
    expect(cuesAhead(begin, course, 0, 1000).filter((c) => c.kind === 'bell')).toHaveLength(1)
    const all = cuesAhead(done(begin, course, 0, 24), course, 24, 1000)
    expect(all.filter((c) => c.kind === 'bell').map((c) => [c.at, c.kind === 'bell' && c.tone])).toEqual([
      [24, 'rest'],
      [29, 'work'],
      [49, 'end'],
    ])
    expect(cuesAhead(begin, course, 0.5, 10).every((c) => c.at >= 0.5 && c.at <= 10.5)).toBe(true)
    expect(cuesAhead(pause(begin, 3), course, 3, 1000)).toEqual([])
  })

  it('for a waiting lane ring only when it continues, and are known ahead', () => {
    const two = courseFor(
      sessionOf(
        [
          { id: 'b1', form: 'talk', seconds: { all: 30, by: { g2: 20 } } },
          { ...laps('march', 'march'), id: 'b2' },
        ],
        [[0], [4]],
      ),
    )
    const bells = cuesAhead(startRun(two, 0), two, 0, 31).filter((c) => c.kind === 'bell')
    expect(bells.map((c) => [c.lane, c.at])).toEqual([
      [0, 0],
      [1, 0],
      [0, 30],
      [1, 30],
    ])
  })
})
