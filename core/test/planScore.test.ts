import { describe, expect, it } from 'vitest'
import { isSeries, type PlanProblem, type PlanSession } from '../src/term/planProblem.ts'
import { planScore, type Plan } from '../src/term/planScore.ts'

const session = (more: Partial<PlanSession> = {}): PlanSession => ({
  id: 's',
  families: [],
  form: undefined,
  strength: false,
  hard: false,
  load: 10,
  fixed: [],
  only: false,
  ...more,
})
/** Home days by their day of the term, all in one week that any minutes suit. */
const problem = (numbers: number[], sessions: PlanSession[], more: Partial<PlanProblem> = {}): PlanProblem => ({
  days: numbers.map((number) => ({ date: `day ${number}`, number, week: 0, off: undefined }) as never),
  sessions,
  free: new Set(),
  families: [],
  weeks: [{ days: numbers.map((_, i) => i), from: 0, to: 1000 }],
  calm: new Set(),
  missed: [],
  ...more,
})
const score = (p: PlanProblem, plan: Plan) => planScore(p, plan)

describe('how good a plan is', () => {
  const strong = session({ strength: true })

  it('counts strength on two consecutive calendar days, not on the next home day after a gap', () => {
    expect(score(problem([1, 2], [strong, strong]), [0, 1]).strengthNext).toEqual([0])
    expect(score(problem([1, 3], [strong, strong]), [0, 1]).strengthNext).toEqual([])
    expect(score(problem([1, 2], [strong, session()]), [0, 1]).strengthNext).toEqual([])
  })

  it('counts two different sessions of one form next to each other, not one session twice', () => {
    const forms = [session({ form: 'intervals' }), session({ form: 'intervals' }), session({ form: 'chance' })]
    expect(score(problem([1, 8], forms), [0, 1]).formTwice).toEqual([0])
    expect(score(problem([1, 8], forms), [0, 0]).formTwice).toEqual([])
    expect(score(problem([1, 8], forms), [0, 2]).formTwice).toEqual([])
    expect(score(problem([1, 8], [session(), session()]), [0, 1]).formTwice).toEqual([])
  })

  it('counts a family whose second time is at most three weeks after its first', () => {
    const squats = [session({ families: ['squat'] }), session({ families: ['squat'] })]
    const again = (second: number) =>
      score(problem([1, second], squats, { families: ['squat', 'push'] }), [0, 1]).families
    expect(again(22)).toEqual(['squat'])
    expect(again(23)).toEqual([])
    expect(score(problem([1, 8], squats, { families: ['squat'] }), [0, undefined]).families).toEqual([])
  })

  it('keeps hard sessions, and only those, off the day before a test', () => {
    const calm = { calm: new Set([1]) }
    const kept = (hard: boolean) => score(problem([1, 8], [session({ hard })], calm), [0, 0]).kept
    expect([kept(true), kept(false)]).toEqual([false, true])
  })

  it('keeps fixed places and free days', () => {
    const fixed = [session({ fixed: [1] })]
    expect(score(problem([1, 8, 15], fixed), [undefined, 0, 0]).kept).toBe(true)
    expect(score(problem([1, 8, 15], fixed), [0, undefined, undefined]).kept).toBe(false)
    expect(score(problem([1, 8], [session()], { free: new Set([0]) }), [0, 0]).kept).toBe(false)
    // It has days of its own: it comes on no other.
    const only = [session({ fixed: [1], only: true })]
    expect(score(problem([1, 8], only), [undefined, 0]).kept).toBe(true)
    expect(score(problem([1, 8], only), [0, 0]).kept).toBe(false)
  })

  it('counts the minutes that a week has too many or too few', () => {
    const week = (from: number, to: number) =>
      score(problem([1, 3], [session({ load: 12 })], { weeks: [{ days: [0, 1], from, to }] }), [0, 0])
    expect([week(20, 24).uneven, week(20, 24).unevenWeeks]).toEqual([0, []])
    expect([week(20, 23).uneven, week(20, 23).unevenWeeks]).toEqual([1, [0]])
    expect([week(25, 30).uneven, week(25, 30).unevenWeeks]).toEqual([1, [0]])
  })

  it('counts days that differ from before, except those whose session may no longer be used', () => {
    const changes = (before: PlanProblem['before'], plan: Plan) =>
      score(problem([1, 8], [session(), session()], before && { before }), plan).changes
    expect(changes([0, 'empty'], [0, undefined])).toBe(0)
    expect(changes([0, 'empty'], [1, 1])).toBe(2)
    expect(changes(['gone', 0], [1, 0])).toBe(0)
    expect(changes(undefined, [1, 0])).toBe(0)
  })
})

it('lets a series come two or three times, each four to fourteen days after the one before (common practice, no source)', () => {
  expect(
    [
      [1, 5],
      [1, 15],
      [1, 5, 9],
    ].map(isSeries),
  ).toEqual([true, true, true])
  expect([[1], [1, 4], [1, 16], [1, 5, 9, 13]].map(isSeries)).toEqual([false, false, false, false])
})
