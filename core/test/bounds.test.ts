import { describe, expect, it } from 'vitest'
import { isTooLong, laneProblems } from '../src/timing/timeline.ts'
import { limits, ProblemError, problemText, readSession, timeline } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import { newBlock } from '../src/session/forms.ts'
import { library, sessionOf, stations } from './sessions.ts'
import { dearSession, hostileSessions, largeSession } from './support/hostile.ts'
import { samples } from './support/samples.ts'

function problemsOf(run: () => unknown) {
  try {
    run()
  } catch (error) {
    if (error instanceof ProblemError) return error.problems
    throw error
  }
  return []
}

describe.each(Object.entries(hostileSessions))('%s', (_, session) => {
  it('is a session of allowed values, and is refused by name before it is computed', () => {
    const workout = readSession(JSON.parse(JSON.stringify(session())))
    const steps = timeline(workout, 'g1', library)
    expect(steps).toHaveLength(limits.steps + 1)
    const problems = problemsOf(() => publish(workout, library))
    expect(problems).toHaveLength(6)
    expect(problemText(problems[0]!)).toMatch(
      /^sections\[0\]\.blocks\[\d+\]: at most 3000 steps for .* \(use fewer rounds, rungs, calls or stations\), found more$/,
    )
  })
})

it('names the block of the first step over the limit, and accepts the last one that fits', () => {
  const laps = { all: Array.from({ length: 30 }, () => ({ work: 20, rest: 0 })) }
  const intervals = { ...newBlock.intervals('b2'), laps, stations: stations(100) }
  const fits = sessionOf([intervals])
  const group = fits.groups[0]!
  const whole = timeline(fits, 'g1', library)
  expect(whole).toHaveLength(3000)
  expect(isTooLong(whole)).toBe(false)
  expect(laneProblems(fits, group, whole)).toEqual([])
  const more = sessionOf([intervals, { ...newBlock.talk('b9'), seconds: { all: 5 } }])
  const problems = laneProblems(more, group, timeline(more, 'g1', library))
  expect(problems.map((p) => [p.code, p.path])).toEqual([['too-many', ['sections', 0, 'blocks', 1]]])
})

it('a session as large as allowed can be sent, and stays under the size limit', () => {
  const body = JSON.stringify(publish(largeSession(), library))
  expect(body.length).toBeGreaterThan(2 ** 20)
  expect(body.length).toBeLessThan(limits.sentBytes)
  expect(publish(dearSession(samples(4, 40)), library).lanes).toHaveLength(6)
})

describe('a text', () => {
  it('with more lines than a session ever has is read up to the limit', () => {
    const { workout: session, problems } = parse(`# Long\n${'> a note\n'.repeat(3000)}10 squats`, library)
    expect(session.sections).toHaveLength(0)
    expect(problems).toMatchObject([{ code: 'too-many', line: limits.lines + 1 }])
    expect(problemText(problems[0]!)).toContain('the rest was not read')
  })

  it('reports a hundred mistakes and that there are more, and still reads what follows', () => {
    const { workout: session, problems } = parse(`10 squats\n${'no such thing\n'.repeat(1000)}10 lunges`, library)
    expect(problems).toHaveLength(limits.mistakes + 1)
    expect(problems.at(-1)).toMatchObject({ code: 'too-many', line: limits.mistakes + 2 })
    expect(session.sections[0]!.blocks[0]).toMatchObject({ stations: [{ cells: { all: { move: 'squat' } } }] })
    const inOneLine = parse(`ladder 1-10: ${'no such thing, '.repeat(150)}`, library)
    expect(inOneLine.problems).toHaveLength(limits.mistakes + 1)
  })

  it('with exactly as many lines as allowed is read completely', () => {
    const { problems } = parse(`${'no such thing\n'.repeat(limits.mistakes)}10 squats`, library)
    expect(problems).toHaveLength(limits.mistakes)
    expect(parse('\n'.repeat(limits.lines - 1) + '10 squats', library).problems).toEqual([])
  })
})
