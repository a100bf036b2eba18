import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { findingText, ruleText, type TermRuleId } from '@esfuerzo/core/checks'
import { checkTerm, newTerm, openDays, termRules, termView, type Term, type TermSession } from '@esfuerzo/core/term'
import { ruleIds, termRuleIds } from '../src/checks/rule.ts'
import { idOf, termSessionOf } from './support/termPlans.ts'

const all = ['bodyAwareness', 'rangeOfMotion', 'objectControl', 'coordination', 'gamePlay']
/** A session with all of everything. */
const whole: Partial<TermSession> = {
  families: ['squat'],
  categories: all,
  regions: ['upper', 'core', 'lower'],
  parts: ['push', 'pull', 'legs', 'core'],
}
/** A term with these sessions in order on its open days; none where it is undefined. */
function termOf(rows: readonly (Partial<TermSession> | undefined)[], more: Partial<Term> = {}) {
  const term = { ...newTerm('Term', '2027-01-04'), ...more }
  const known = rows.map((row, i) => termSessionOf(i, { ...whole, ...row }))
  const places = openDays(term).flatMap(({ date }, i) => (rows[i] ? [{ id: `d${i}`, date, session: idOf(i) }] : []))
  return termView({ ...term, places }, new Map(known.map((s) => [s.id, s])))
}
/** One session on some of the open days. */
function sameOn(on: readonly number[], more: Partial<Term> = {}) {
  const term = { ...newTerm('Term', '2027-01-04'), ...more }
  const days = openDays(term)
  const places = on.map((i) => ({ id: `d${i}`, date: days[i]!.date, session: idOf(0) }))
  return termView({ ...term, places }, new Map([[idOf(0), termSessionOf(0, whole)]]))
}
const times = <T>(n: number, row: T): T[] => Array.from({ length: n }, () => row)
const daily = [1, 2].map((weekday) => ({ weekday, at: '15:00' }))
const strong = { strength: true }

/** For each rule, a term that breaks it and one that just keeps it. */
const cases: Record<TermRuleId, { breaks: ReturnType<typeof termOf>; near: ReturnType<typeof termOf> }> = {
  'push-pull-legs-core': {
    breaks: termOf(times(3, { ...strong, parts: ['push', 'legs', 'core'] })),
    near: termOf([...times(2, { ...strong, parts: ['push', 'legs', 'core'] }), { ...strong, parts: ['pull'] }]),
  },
  'upper-lower-core': {
    breaks: termOf(times(8, { regions: ['core', 'lower'] })),
    near: termOf([...times(6, { regions: ['core', 'lower'] }), { regions: ['upper'] }]),
  },
  categories: {
    breaks: termOf(times(8, { categories: all.slice(1) })),
    near: termOf([...times(7, { categories: all.slice(1) }), { categories: all.slice(0, 1) }]),
  },
  'seen-once': {
    breaks: termOf([{}, ...times(6, undefined), { families: [] }, {}], { families: ['squat'] }),
    near: termOf([{}, ...times(5, undefined), {}], { families: ['squat'] }),
  },
  'strength-days': {
    breaks: termOf([strong, strong], { days: daily }),
    near: termOf([strong, strong], { days: [1, 3].map((weekday) => ({ weekday, at: '15:00' })) }),
  },
  // Two home days a week, so that the fifth place is two weeks after the first, and the sixth sixteen days.
  'again-in-time': { breaks: sameOn([0, 5]), near: sameOn([0, 2, 4]) },
  'new-moves-a-week': {
    breaks: termOf([{}, {}, { moves: ['a', 'b', 'c', 'd'] }]),
    near: termOf([{ moves: ['d', 'e', 'f', 'g'] }, {}, { moves: ['a', 'b', 'c', 'd'] }]),
  },
  'things-a-week': {
    breaks: termOf([{ things: ['a', 'b'] }, { things: ['c', 'd'] }]),
    near: termOf([{ things: ['a', 'b'] }, { things: ['b', 'c'] }]),
  },
  'test-days': {
    breaks: termOf([{ vigorous: 8 }, {}], { days: daily, tests: idOf(1) }),
    near: termOf([{ vigorous: 7 }, {}], { days: daily, tests: idOf(1) }),
  },
  'easier-week': {
    breaks: termOf([...times(6, { moderate: 10, vigorous: 0 }), { moderate: 16, vigorous: 0 }]),
    near: termOf([...times(6, { moderate: 10, vigorous: 0 }), { moderate: 15, vigorous: 0 }]),
  },
  'after-weeks-off': {
    breaks: termOf([{}, {}, ...times(4, undefined), {}]),
    near: termOf([{}, {}, ...times(2, undefined), {}]),
  },
}

describe.each(termRuleIds)('%s', (id) => {
  const foundIn = (view: ReturnType<typeof termOf>) => checkTerm(view, termRules).filter((f) => f.rule === id)
  it('is found when true, in both languages, and not when nearly true', () => {
    const [finding] = foundIn(cases[id].breaks)
    expect(finding).toMatchObject({ rule: id, level: 'note' })
    for (const language of ['en', 'es'] as const) {
      const { what, why } = findingText(finding!, language)
      expect(what).toMatch(/^\p{L}.*\.$/u)
      expect(`${what} ${why} ${ruleText(id, language).title}`).not.toMatch(/undefined|NaN|\{/)
    }
    expect(foundIn(cases[id].near)).toEqual([])
  })

  it('has the weight the school sets', () => {
    expect(checkTerm(cases[id].breaks, termRules, { [id]: 'off' }).some((f) => f.rule === id)).toBe(false)
    expect(checkTerm(cases[id].breaks, termRules, { [id]: 'look' }).find((f) => f.rule === id)!.level).toBe('look')
  })
})

it('a session repeats in time, and at most three times in a row; after a break it starts again', () => {
  const said = (view: ReturnType<typeof termOf>) =>
    checkTerm(view, termRules).flatMap((f) => (f.rule === 'again-in-time' ? [f.facts] : []))
  expect(said(sameOn([0, 1]))).toEqual([{ title: 'Session 00', week: 1, days: 2 }])
  expect(said(sameOn([0, 5]))).toEqual([{ title: 'Session 00', week: 3, days: 16 }])
  expect(said(sameOn([0, 2, 4, 6]))).toEqual([{ title: 'Session 00', times: 4 }])
  expect(said(sameOn([0, 2, 4, 10, 12]))).toEqual([])
})

it('test days are compared when possible', () => {
  const said = (view: ReturnType<typeof termOf>) =>
    checkTerm(view, termRules).flatMap((f) => (f.rule === 'test-days' ? [f.facts.what] : []))
  const tests = idOf(0)
  expect(said(sameOn([0, 2, 14], { tests }))).toEqual([])
  expect(said(sameOn([2, 12], { tests }))).toEqual(['tooNear'])
  expect(said(sameOn([2, 15], { tests }))).toEqual(['weekday'])
  const off = [{ from: '2027-01-04', to: '2027-01-10', name: 'Snow' }]
  expect(said(sameOn([0, 2, 14], { tests, off }))).toEqual(['afterHolidays'])
})

it('every rule has its file, and is in the registry', () => {
  const inKebab = (name: string) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)
  const files = readdirSync(new URL('../src/term/rules/', import.meta.url)).map((f) => inKebab(f.replace('.ts', '')))
  expect(files.sort()).toEqual([...termRuleIds].sort())
  expect(termRules.map((r) => r.id).sort()).toEqual([...termRuleIds].sort())
  // A school's setting for one rule affects no other.
  expect(ruleIds.filter((id) => (termRuleIds as readonly string[]).includes(id))).toEqual([])
})
