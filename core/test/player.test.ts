import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  back,
  done,
  pause,
  resume,
  skip,
  startRun,
  stepElapsed,
  stepsDone,
  stepView,
  tick,
  timeline,
  type PlayerState,
} from '@esfuerzo/core'
import { workoutArbitrary } from './arbitraries.ts'
import { library, sessionOf, station } from './sessions.ts'

const workout = sessionOf([
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
const steps = timeline(workout, 'g1', library)

describe('the player', () => {
  it('leaves steps at the second they run out, however late anybody looks', () => {
    const late = tick(startRun(100), steps, 100 + 24 + 5 + 3.7)
    expect(late).toMatchObject({ index: 2, began: 129 })
    expect(tick(late, steps, 1e6).index).toBe(3)
  })

  it('comes to the same place whether it is looked at often or once', () => {
    fc.assert(
      fc.property(workoutArbitrary, fc.array(fc.double({ min: 0, max: 40, noNaN: true })), (w, gaps) => {
        const all = timeline(w, w.groups[0]!.id, library)
        let now = 0
        let often: PlayerState = startRun(0)
        for (const gap of gaps) often = tick(often, all, (now += gap))
        expect(often).toEqual(tick(startRun(0), all, now))
      }),
    )
  })

  it('waits for "done" in counted work, up to a slow child’s time, and not in work by the clock', () => {
    expect(done(startRun(0), steps, 9)).toMatchObject({ index: 1, began: 9 })
    expect(done({ ...startRun(0), index: 2 }, steps, 9).index).toBe(2)
    expect(tick(startRun(0), steps, 23.9).index).toBe(0)
  })

  it('stands still while paused, for any time', () => {
    const paused = pause(tick(startRun(0), steps, 26), 26)
    expect(tick(paused, steps, 9999)).toBe(paused)
    const on = resume(paused, 10_000)
    expect(stepElapsed(on, 10_001)).toBe(stepElapsed(paused, 0) + 1)
    expect(on.pausedAt).toBeUndefined()
  })

  it('goes back to the start of a step, or right at its start to the one before; skips are counted and taken back', () => {
    const second = skip(startRun(0), steps, 4)
    expect(second).toMatchObject({ index: 1, skipped: [0] })
    expect(stepsDone(second, steps)).toEqual({ done: 0, skipped: 1 })
    expect(back(second, 5)).toMatchObject({ index: 0, began: 5, skipped: [] })
    expect(back(second, 8.5)).toMatchObject({ index: 1, began: 8.5 })
    expect(back(startRun(0), 1).index).toBe(0)
    expect(skip({ ...startRun(0), index: 3 }, steps, 1).index).toBe(3)
  })

  it('shows 20 first and 1 last of twenty seconds, and the rep the figure is at', () => {
    expect([0, 0.2, 18.9, 19.5].map((t) => stepView(steps[2]!, t).secondsLeft)).toEqual([20, 20, 2, 1])
    expect([0, 1.7, 1.9, 17.9, 22].map((t) => stepView(steps[0]!, t).rep)).toEqual([1, 1, 2, 10, 10])
  })
})
