import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { findingText, ruleText, type TermRuleId } from '@esfuerzo/core/checks'
import { checkTerm, newTerm, openDays, termRules, termView, type Term, type TermSession } from '@esfuerzo/core/term'
import { termRuleIds } from '../src/checks/rule.ts'
import { idOf, termSessionOf } from './support/termPlans.ts'

const all = ['bodyAwareness', 'rangeOfMotion', 'objectControl', 'coordination', 'gamePlay']
/** A session with all of everything. */
const whole: Partial<TermSession> = {
  families: ['squat'],
  categories: all,
  regions: ['upper', 'core', 'lower'],
  parts: ['push', 'pull', 'legs', 'core'],
}
/** A term with these sessions one after the other on its open days; none where it is undefined. */
function termOf(rows: readonly (Partial<TermSession> | undefined)[], more: Partial<Term> = {}) {
  const term = { ...newTerm('Term', '2027-01-04'), ...more }
  const known = rows.map((row, i) => termSessionOf(i, { ...whole, ...row }))
  const places = openDays(term).flatMap(({ date }, i) => (rows[i] ? [{ id: `d${i}`, date, session: idOf(i) }] : []))
  return termView({ ...term, places }, new Map(known.map((s) => [s.id, s])))
}
const times = <T>(n: number, row: T): T[] => Array.from({ length: n }, () => row)
const daily = [1, 2].map((weekday) => ({ weekday, at: '15:00' }))
const strong = { strength: true }

/** For each rule a term that breaks it and one that comes as near as it may. */
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
}

describe.each(termRuleIds)('%s', (id) => {
  const of = (view: ReturnType<typeof termOf>) => checkTerm(view, termRules).filter((f) => f.rule === id)
  it('is said where it is so, in both languages, and not where it is nearly so', () => {
    const [finding] = of(cases[id].breaks)
    expect(finding).toMatchObject({ rule: id, level: 'note' })
    for (const language of ['en', 'es'] as const) {
      const { what, why } = findingText(finding!, language)
      expect(what).toMatch(/^\p{L}.*\.$/u)
      expect(`${what} ${why} ${ruleText(id, language).title}`).not.toMatch(/undefined|NaN|\{/)
    }
    expect(of(cases[id].near)).toEqual([])
  })

  it('weighs what the school says', () => {
    expect(checkTerm(cases[id].breaks, termRules, { [id]: 'off' }).some((f) => f.rule === id)).toBe(false)
    expect(checkTerm(cases[id].breaks, termRules, { [id]: 'look' }).find((f) => f.rule === id)!.level).toBe('look')
  })
})

it('every rule has its file, and is in the registry', () => {
  const inKebab = (name: string) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)
  const files = readdirSync(new URL('../src/term/rules/', import.meta.url)).map((f) => inKebab(f.replace('.ts', '')))
  expect(files.sort()).toEqual([...termRuleIds].sort())
  expect(termRules.map((r) => r.id).sort()).toEqual([...termRuleIds].sort())
})
