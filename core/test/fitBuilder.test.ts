import { describe, expect, it } from 'vitest'
import { fitBuilder, type BuiltFit } from '../src/fit/buildFit.ts'
import { sessionSeconds } from '../src/timing/sessionSeconds.ts'
import { setStation, stationsOf, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { library } from './sessions.ts'

const typed = (...lines: string[]): Session => {
  const { workout: session, problems } = parse(['minutes 20; groups K-1, 4-6', ...lines].join('\n'), library)
  expect(problems).toEqual([])
  return session
}
const build = (session: Session, mostCost = 12, direction: 'shorter' | 'longer' = 'shorter'): BuiltFit =>
  fitBuilder(
    session,
    library,
  )({
    least: 0,
    most: 3600,
    mostCost,
    direction,
    even: false,
    barred: new Set(),
  })
const circuit = ['3 laps 30/30', 'squat', 'jumping jack', 'plank']

describe('a session as an optimization problem', () => {
  it('has each block’s current setting first, at no cost, and these add up to the session’s seconds', () => {
    const w = typed('## Main part', ...circuit, '## After (skill)', '3 rounds, rest 30 s: curl-up 10, lunge 8')
    const { problem, groupIds } = build(w)
    const seconds = groupIds.map((_, g) => {
      let at = { seconds: 0, exit: 0 }
      for (const block of problem.blocks) {
        expect(block.shared[0]!.cost).toBe(0)
        const way = block.lanes[g]!.follow[0]![at.exit]!
        at = { seconds: at.seconds + way.seconds, exit: way.exit }
      }
      return at.seconds
    })
    expect(seconds).toEqual(Object.values(sessionSeconds(w, library)))
  })

  it('distinguishes what a block passes on only if it matters', () => {
    // Whether the plank is left out decides whether the child has to get down for the push-ups.
    const w = typed('## Main part', '2 laps 30/10, no last rest', 'squat', 'plank', 'list', 'push-up 10')
    const plank = stationsOf(w.sections[0]!.blocks[0]!)[1]!.id
    expect(build(setStation(w, plank, { optional: true })).problem.states).toBe(2)
    // Any rest that is left after the circuit is long enough for that.
    const rested = typed('## Main part', ...circuit, 'list', 'curl-up 10')
    expect(build(rested).problem.states).toBe(1)
    // After a talk no rest is left, and a clock does not wait.
    const talk = typed('## Main part', ...circuit, 'talk 30 s', '2 laps 20/10', 'squat', 'lunge')
    expect(build(talk, 12).problem.states).toBe(1)
  })

  it('gives kept sections, the cool-down and the first three minutes of a warm-up no choices', () => {
    const w = typed(
      '## Warm-up',
      '1 laps 60/30',
      'march on the spot',
      'arm circles',
      '## Main part (keep)',
      ...circuit,
      '## Cool-down',
      '2 laps 20/10',
      'quad stretch',
      'butterfly',
    )
    for (const block of build(w, 64).problem.blocks) {
      expect(block.shared).toHaveLength(1)
      for (const lane of block.lanes) for (const own of lane.own.flat()) expect(own.passage).toEqual(lane.follow[0])
    }
  })

  it('can shorten a warm-up beyond its first three minutes', () => {
    const w = typed('## Warm-up', '4 laps 30/30', 'march on the spot', 'arm circles')
    const [block] = build(w, 64).problem.blocks
    expect(block!.shared.length).toBeGreaterThan(1)
    for (const lane of block!.lanes)
      for (const passage of lane.follow) if (passage) expect(passage[0]!.seconds).toBeGreaterThanOrEqual(180)
  })

  it('prices sections: the main one first, a skill at one and a half times, vocabulary at twice', () => {
    const cheapest = (heading: string) => {
      const [block] = build(typed(heading, ...circuit), 12).problem.blocks
      return Math.min(...block!.shared.slice(1).map((s) => s.cost))
    }
    const main = cheapest('## Main part')
    expect(cheapest('## Skill (skill)')).toBe(1.5 * main)
    expect(cheapest('## Before we start (brief)')).toBe(2 * main)
  })

  it('exceeds no grade’s limit that was kept before: no rest for the youngest gets shorter than their work', () => {
    const w = typed('## Main part', '3 laps 30/30', 'jumping jack', 'tuck jump')
    const { problem, choices } = build(w, 12)
    const own = choices[0]!.own[0]![0]!
    // Levers come in the order laps, work, rest: less rest alone is not allowed for K–1.
    expect(own.filter(({ steps }) => steps[2]! < 0 && steps[1] === 0)).toEqual([])
    expect(problem.blocks[0]!.lanes[1]!.own[0]!.length).toBeGreaterThan(own.length)
  })
})
