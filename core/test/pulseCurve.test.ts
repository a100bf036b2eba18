import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newSession, sessionView, type Step } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { pulseCurve, restingPulse, topPulse } from '@esfuerzo/core/pulse'
import { demoSessions, demoSession } from '../../server/src/demo/sessions.ts'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'

const laneOf = (main: string, grades: number[] = [4]) => {
  const { groups } = newSession('x', [grades], 20, library.version)
  const { workout: session } = parse(`# Fog\n## Main\n${main}\n`, library, groups)
  const [lane] = sessionView(session, library)
  return { group: lane!.group, steps: lane!.blocks.flatMap((b) => b.timed.steps) }
}
const curveOf = (main: string, grades?: number[]) => {
  const { group, steps } = laneOf(main, grades)
  return pulseCurve(steps, group, library)
}
const at = (curve: ReturnType<typeof curveOf>, seconds: number) => curve.points.find((p) => p.at >= seconds)!.beats

describe('a predicted pulse', () => {
  it('starts at the median resting pulse of the age and has the published maximum', () => {
    // Fleming et al. 2011 and Tanaka et al. 2001, both from memory.
    expect([5, 7, 10].map(restingPulse)).toEqual([98, 91, 84])
    expect(topPulse(10)).toBe(201)
    expect(curveOf('squat 10').points[0]).toEqual({ at: 0, beats: 84 })
  })

  it('covers two thirds of its way in 25 seconds up and in 45 down, as the equation solved in small steps does', () => {
    const main = 'jog on the spot 120 s'
    const { version } = { version: library.moves.get('jog')!.versions.find((v) => v.id === 'jog')! }
    const curve = curveOf(main)
    // Eight of its own resting METs are the maximum of a child of nine and a half: jogging on the spot reaches it.
    const target = 84 + (curve.top - 84) * ((version.met - 1) / 7)
    let beats = 84
    for (let t = 0; t < 60; t += 0.001) beats += ((target - beats) / 25) * 0.001
    expect(at(curve, 60)).toBeCloseTo(beats, 0)
    expect((at(curve, 25) - 84) / (target - 84)).toBeCloseTo(1 - Math.exp(-1), 2)
    const rested = curveOf('1 lap 120/90\njog on the spot\nlie still')
    expect(at(rested, 210)).toBeLessThan(at(rested, 120))
  })

  it('calls marching moderate for every age, and jumping jacks and strength never vigorous throughout', () => {
    const grades = [[0], [0, 1], [2], [2, 3], [4], [4, 5, 6], [6]]
    for (const grade of grades) {
      const march = curveOf('march on the spot 30 min', grade)
      expect(march.minutes.moderate, `march, ${grade}`).toBeGreaterThan(29)
      expect(march.minutes.vigorous).toBe(0)
      const circuit = curveOf('3 laps 30/15\nsquat\npush-up\nlunge\nplank\nbag row\nhip bridge', grade)
      const minutes = Object.values(circuit.minutes).reduce((a, b) => a + b)
      expect(circuit.minutes.vigorous / minutes, `strength, ${grade}`).toBeLessThan(0.5)
    }
    for (const band of [[0], [1], [2], [0, 1, 2]]) {
      const { minutes } = curveOf('10 laps 30/30\njumping jack', band)
      expect(minutes.vigorous / 10, `jacks, ${band}`).toBeLessThan(0.6)
    }
  })

  it('has the minutes that the written rules give, on every lane', () => {
    // docs/computation.md, computed independently in steps of a hundredth of a second.
    const strength = ['squat', 'lunge', 'hinge', 'push', 'pull', 'brace', 'curl', 'extend', 'twist']
    const metOf = (step: Step): number => {
      if (['rest', 'talk', 'measure'].includes(step.kind)) return 1.3
      if (step.kind !== 'work') return 2
      if (!step.move || !step.version) return 3
      const move = library.moves.get(step.move)!
      const { met } = move.versions.find((v) => v.id === step.version)!
      if (!strength.includes(move.family) || !['02022', '02024', '02035', '02054'].includes(move.effort)) return met
      return move.measures[0] === 'seconds' ? met + 1 : 1 + (met - 1) * 1.35
    }
    const lanesTried = samples(60, 200)
    const sessions = [...demoSessions.map((s) => demoSession(s, library)), ...fc.sample(sessionArbitrary, lanesTried)]
    const lanes = sessions
      .flatMap((w) => sessionView(w, library))
      .filter((lane) => lane.totals.session.seconds.typical < 3600)
      .slice(0, lanesTried)
    expect(lanes).toHaveLength(lanesTried)
    for (const lane of lanes) {
      const steps = lane.blocks.flatMap((b) => b.timed.steps)
      const age = (lane.group.ages[0] + lane.group.ages[1]) / 2
      const [rest, top] = [age < 6 ? 98 : age < 8 ? 91 : 84, 208 - 0.7 * age]
      const peak = age < 8 ? 7.5 : age < 10 ? 8 : 8.5
      const beatsAt = (met: number) => rest + (top - rest) * Math.min(1, Math.max(0, (met - 1) / (peak - 1)))
      const seconds = { light: 0, moderate: 0, vigorous: 0 }
      const dt = 0.01
      let beats = rest
      for (const step of steps) {
        const target = beatsAt(metOf(step))
        const share = Math.exp(-dt / (target > beats ? 25 : 45))
        for (let n = Math.round(step.seconds.typical / dt); n > 0; n--) {
          beats = target + (beats - target) * share
          seconds[beats >= beatsAt(6) ? 'vigorous' : beats >= beatsAt(4) ? 'moderate' : 'light'] += dt
        }
      }
      const { minutes } = pulseCurve(steps, lane.group, library)
      for (const zone of ['light', 'moderate', 'vigorous'] as const)
        expect(Math.abs(minutes[zone] - seconds[zone] / 60), zone).toBeLessThan(0.01)
    }
  })

  it('is never above its maximum or below its rest, and its minutes are the session’s', () => {
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

  it('is higher for harder work, and calls hard work vigorous', () => {
    const easy = curveOf('march on the spot 180 s')
    const hard = curveOf('burpee 180 s')
    expect(at(hard, 170)).toBeGreaterThan(at(easy, 170))
    expect(hard.minutes.vigorous).toBeGreaterThan(1.5)
    expect(curveOf('quad stretch 180 s').minutes.vigorous).toBe(0)
  })
})
