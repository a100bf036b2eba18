import { describe, expect, it } from 'vitest'
import { newWorkout, sessionView } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { pulseCurve, restingPulse, topPulse } from '@esfuerzo/core/pulse'
import { library } from './sessions.ts'

const laneOf = (main: string, grades: number[] = [4]) => {
  const { groups } = newWorkout('x', [grades], 20, library.version)
  const { workout } = parse(`# Fog\n## Main\n${main}\n`, library, groups)
  const [lane] = sessionView(workout, library)
  return { group: lane!.group, steps: lane!.blocks.flatMap((b) => b.timed.steps) }
}
const curveOf = (main: string, grades?: number[]) => {
  const { group, steps } = laneOf(main, grades)
  return pulseCurve(steps, group, library)
}
const at = (curve: ReturnType<typeof curveOf>, seconds: number) => curve.points.find((p) => p.at >= seconds)!.beats

describe('a predicted pulse', () => {
  it('begins at the middle resting pulse of the age and has the published top', () => {
    // Fleming et al. 2011 and Tanaka et al. 2001, both from memory.
    expect([5, 7, 10].map(restingPulse)).toEqual([98, 91, 84])
    expect(topPulse(10)).toBe(201)
    expect(curveOf('squat 10').points[0]).toEqual({ at: 0, beats: 84 })
  })

  it('goes two thirds of its way in 25 seconds up and in 45 down, as the equation solved in small steps does', () => {
    const main = 'jog on the spot 120 s'
    const { version } = { version: library.moves.get('jog')!.versions.find((v) => v.id === 'jog')! }
    const curve = curveOf(main)
    const target = 84 + (curve.top - 84) * ((version.met - 1) / 10)
    let beats = 84
    for (let t = 0; t < 60; t += 0.001) beats += ((target - beats) / 25) * 0.001
    expect(at(curve, 60)).toBeCloseTo(beats, 0)
    expect((at(curve, 25) - 84) / (target - 84)).toBeCloseTo(1 - Math.exp(-1), 2)
    const rested = curveOf('1 lap 120/90\njog on the spot\nlie still')
    expect(at(rested, 210)).toBeLessThan(at(rested, 120))
  })

  it('is never above its top nor below its rest, and its minutes are the session’s', () => {
    for (const main of ['4 laps 40/10\nburpee\njumping jack', 'slow breaths 4 breaths', 'talk 60 s\nsquat 10'])
      for (const grades of [[0, 1], [2, 3], [6]]) {
        const curve = curveOf(main, grades)
        const { steps } = laneOf(main, grades)
        const seconds = steps.reduce((sum, s) => sum + s.seconds.typical, 0)
        for (const { beats } of curve.points) {
          expect(beats).toBeGreaterThanOrEqual(curve.rest - 1e-9)
          expect(beats).toBeLessThanOrEqual(curve.top + 1e-9)
        }
        const { light, moderate, vigorous } = curve.minutes
        expect((light + moderate + vigorous) * 60).toBeCloseTo(seconds, 6)
        expect(curve.points.at(-1)!.at).toBeCloseTo(seconds, 6)
      }
  })

  it('is higher the harder the work, and calls hard work vigorous', () => {
    const easy = curveOf('march on the spot 180 s')
    const hard = curveOf('burpee 180 s')
    expect(at(hard, 170)).toBeGreaterThan(at(easy, 170))
    expect(hard.minutes.vigorous).toBeGreaterThan(1.5)
    expect(curveOf('quad stretch 180 s').minutes.vigorous).toBe(0)
  })
})
