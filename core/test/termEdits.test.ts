import { describe, expect, it } from 'vitest'
import { readDocument, saidMinutes, timeline, type Group, type Session } from '@esfuerzo/core'
import {
  changedDays,
  clearDay,
  comingsBefore,
  copiedTerm,
  coverage,
  keepFree,
  moveDay,
  newTerm,
  openDays,
  pinDay,
  placeSession,
  planProblem,
  planTerm,
  plannedTerm,
  strandedPlaces,
  termDocument,
  termMarkdown,
  termRows,
  termSession,
  termStep,
  testDays,
  type Term,
} from '@esfuerzo/core/term'
import { checkSession } from '@esfuerzo/core/checks'
import { library } from './sessions.ts'
import { shelf } from './shelf.ts'
import { idOf, termSessionOf } from './support/termPlans.ts'

const term = newTerm('Winter', '2027-01-04')
const springs = { session: idOf(1), title: 'Springs' }
const tides = { session: idOf(2), title: 'Tides' }
const whole = (now: Term): Term => readDocument(termDocument, now)

describe('days of a term', () => {
  it('are added, moved, swapped, pinned, kept free and cleared, and stay a valid document', () => {
    let now = placeSession(placeSession(term, '2027-01-07', springs), '2027-01-05', tides)
    expect(now.places.map((p) => [p.id, p.date, p.title])).toEqual([
      ['d2', '2027-01-05', 'Tides'],
      ['d1', '2027-01-07', 'Springs'],
    ])
    now = moveDay(now, '2027-01-05', '2027-01-07')
    expect(now.places.map((p) => p.title)).toEqual(['Springs', 'Tides'])
    now = pinDay(moveDay(now, '2027-01-05', '2027-01-12'), '2027-01-12', true)
    now = keepFree(now, '2027-01-14')
    expect(whole(now).places).toEqual(now.places)
    expect(clearDay(now, '2027-01-07').places.map((p) => p.pinned)).toEqual([true, true])
    // An edit that changes nothing adds no undo step.
    expect(clearDay(now, '2027-03-30')).toBe(now)
    expect(pinDay(now, '2027-01-12', true)).toBe(now)
  })

  it('report which days of two states differ, and which are no longer home days', () => {
    const now = placeSession(placeSession(term, '2027-01-05', springs), '2027-01-07', tides)
    const then = moveDay(now, '2027-01-07', '2027-01-12')
    expect(changedDays(now, then)).toEqual(['2027-01-07', '2027-01-12'])
    const less: Term = { ...then, off: [{ from: '2027-01-04', to: '2027-01-10', name: 'Snow' }] }
    expect(strandedPlaces(less).map((p) => p.title)).toEqual(['Springs'])
  })

  it('count a session’s times until it rested for three weeks', () => {
    const dates = ['2027-01-05', '2027-01-12', '2027-01-26', '2027-02-18', '2027-03-11']
    const now = dates.reduce((t, date) => placeSession(t, date, springs), term)
    expect(now.places.map((p) => comingsBefore(now, p))).toEqual([0, 1, 2, 0, 1])
  })

  it('repeat next year on the same weekdays, without last year’s holidays and next-step sessions', () => {
    const place = { id: 'd1', date: '2027-01-07', ...springs, made: idOf(9), pinned: true as const }
    const old: Term = {
      ...term,
      class: idOf(5),
      off: [{ from: '2027-02-15', to: '2027-02-21', name: 'x' }],
      places: [place],
    }
    const now = whole(copiedTerm(old, 'Winter again', '2028-01-03'))
    expect(now.places).toEqual([{ id: 'd1', date: '2028-01-06', ...springs, pinned: true }])
    expect([now.off, now.class]).toEqual([[], undefined])
  })
})

describe('test days', () => {
  it('are the first two weeks and the second-to-last full one, on one weekday, six weeks apart', () => {
    const { days, missed } = testDays(term)
    expect(missed).toEqual([])
    expect([days!.tryOut.week, days!.first.week, days!.second.week]).toEqual([0, 1, 10])
    expect(new Set([days!.tryOut, days!.first, days!.second].map((d) => d.weekday)).size).toBe(1)
  })

  it.each([
    ['six weeks are not there', { weeks: 6 }, 'sixWeeks'],
    ['there is one week', { weeks: 1 }, 'none'],
    [
      'the second week is free, and the week after holidays is none to test in',
      { off: [{ from: '2027-01-11', to: '2027-01-17', name: 'x' }] },
      undefined,
    ],
  ])('report the problem if %s', (_, change, miss) => {
    const { days, missed } = testDays({ ...term, ...change })
    if (miss) expect(missed).toContain(miss)
    else expect(days!.first.week).toBe(3)
  })
})

describe('a planned term', () => {
  const known = Array.from({ length: 9 }, (_, i) =>
    termSessionOf(i, { form: i % 2 ? 'intervals' : 'chance', families: i % 3 ? ['squat'] : ['push', 'jump'] }),
  )
  const titles = new Map(known.map((s) => [s.id, s.title]))
  const wanted: Term = { ...term, families: ['squat', 'push', 'jump'], sessions: known.map((s) => s.id) }
  const noSolver = async () => {
    throw new Error('nothing to solve')
  }

  it('needs no solver if nothing prevents a perfect one: all days, all families, no form twice, weeks even', async () => {
    const problem = planProblem(wanted, known)
    const planned = await planTerm(problem, noSolver)
    expect(planned).toMatchObject({ proven: true, score: { kept: true, filled: 21, formTwice: [], uneven: 0 } })
    const now = whole(plannedTerm(wanted, problem, planned!.plan, titles))
    expect(now.places.filter((p) => p.session)).toHaveLength(21)
    // The last day of every fourth week is for the rainy-day session.
    expect(now.places.filter((p) => !p.session).map((p) => openDays(now).find((d) => d.date === p.date)!.week)).toEqual(
      [3, 7, 11],
    )
    for (const { id } of known) {
      const days = now.places.filter((p) => p.session === id).map((p) => openDays(now).find((d) => d.date === p.date)!)
      expect([0, 2, 3]).toContain(days.length)
      for (const [i, day] of days.slice(1).entries()) {
        expect(day.number - days[i]!.number).toBeGreaterThanOrEqual(4)
        expect(day.number - days[i]!.number).toBeLessThanOrEqual(14)
      }
    }
  })

  it('leaves test days where she pinned them, and adds none of its own', async () => {
    const tests: Term = { ...wanted, tests: known[0]!.id, sessions: wanted.sessions.slice(1) }
    const mine = ['2027-01-12', '2027-03-02'].reduce(
      (t, date) => pinDay(placeSession(t, date, { session: known[0]!.id, title: 'Test day' }), date, true),
      tests,
    )
    const dates = (t: Term) => t.places.filter((p) => p.session === known[0]!.id).map((p) => p.date)
    const plan = async (t: Term) => {
      const problem = planProblem(t, known)
      return plannedTerm(t, problem, (await planTerm(problem, noSolver))!.plan, titles)
    }
    expect(dates(await plan(mine))).toEqual(['2027-01-12', '2027-03-02'])
    // By default they are in the first two weeks and the second-to-last full one.
    expect(dates(await plan(tests))).toEqual(['2027-01-05', '2027-01-12', '2027-03-16'])
  })

  it('starts in the middle of a term: past days stay, met families are met, past test days are not planned again', async () => {
    const tests: Term = { ...wanted, tests: known[0]!.id, sessions: wanted.sessions.slice(1) }
    const from = '2027-01-18'
    // Two that form no series: past days are not judged.
    const been = [
      ['2027-01-05', 0],
      ['2027-01-12', 0],
      ['2027-01-07', 3],
      ['2027-01-14', 3],
    ] as const
    const now = been.reduce(
      (t, [date, n]) => placeSession(t, date, { session: idOf(n), title: titles.get(idOf(n))! }),
      placeSession(tests, '2027-01-26', { session: idOf(5), title: 'Later' }),
    )
    const problem = planProblem(now, known, { from })
    expect([problem.days[0]!.date, problem.families]).toEqual(['2027-01-19', ['squat']])
    const planned = (await planTerm(problem, noSolver))!
    const after = whole(plannedTerm(now, problem, planned.plan, titles))
    expect(after.places.filter((p) => p.date < from)).toEqual(now.places.filter((p) => p.date < from))
    expect(planned.score.filled).toBe(problem.days.length - problem.free.size)
    expect(after.places.filter((p) => p.session === idOf(0)).map((p) => p.date)).toEqual([
      '2027-01-05',
      '2027-01-12',
      '2027-03-16',
    ])
    // If all are past, there is nothing to plan.
    expect(planProblem(now, known, { from: '2028-01-01' }).days).toEqual([])
    expect(testDays(tests, new Set(), { from, had: ['2027-01-05', '2027-01-12', '2027-03-16'] })).toEqual({
      missed: [],
    })
  })

  it('keeps pinned places and the ids of what stays, so that a calendar moves moved entries', async () => {
    const pinned = pinDay(
      placeSession(wanted, '2027-01-14', { session: idOf(3), title: 'Session 03' }),
      '2027-01-14',
      true,
    )
    const problem = planProblem(pinned, known)
    const now = plannedTerm(pinned, problem, (await planTerm(problem, noSolver))!.plan, titles)
    expect(now.places.find((p) => p.date === '2027-01-14')).toEqual(pinned.places[0])
    const again = plannedTerm(now, problem, (await planTerm(problem, noSolver))!.plan, titles)
    expect(again).toBe(now)
  })
})

it('is shown as rows and as a table in Markdown: one row per week, one column per home day', () => {
  const off = [{ from: '2027-01-11', to: '2027-01-17', name: 'Snow' }]
  let now: Term = { ...term, weeks: 3, off }
  now = keepFree(placeSession(placeSession(now, '2027-01-05', springs), '2027-01-19', springs), '2027-01-07')
  const titles = new Map([[springs.session, 'Springs | soft']])
  expect(
    termMarkdown(now, titles, { free: 'free', again: (n) => `(${n})` })
      .split('\n')
      .slice(0, 7),
  ).toEqual([
    '# Winter',
    '',
    '|  |  |  |',
    '| --- | --- | --- |',
    '| 1 | 2027-01-05 Springs \\| soft | 2027-01-07 free |',
    '| 2 | 2027-01-12 Snow | 2027-01-14 Snow |',
    '| 3 | 2027-01-19 Springs \\| soft (2) | 2027-01-21 |',
  ])
  expect(termRows(now, new Map())[0]).toEqual({
    week: 1,
    date: '2027-01-05',
    at: '15:00',
    kind: 'session',
    title: 'Springs',
    time: 1,
  })
})

describe('the coverage of a term', () => {
  const [first, second] = shelf(library).filter(({ session }) => session.aim.builds.length)
  const sessions = new Map([first!, second!].map(({ session }, i) => [idOf(i), termSession(idOf(i), session, library)]))

  /** A lane's minutes by its last step's end. */
  const lasts = (session: Session, { id }: Group) => {
    const last = timeline(session, id, library).at(-1)!
    return saidMinutes({ typical: last.at + last.seconds.typical })
  }

  it('is for the class’s own lane if a class is given, in minutes and in effort', () => {
    const { session } = first!
    for (const group of session.groups) {
      const own = termSession(idOf(0), session, library, group.grades)
      expect(own.minutes).toBe(lasts(session, group))
      const alone = { ...session, groups: [group] }
      expect(own.moderate).toBe(termSession(idOf(0), alone, library).moderate)
    }
  })

  it('is counted week by week; what a class knows is not new again', () => {
    const places = [0, 1, 0].map((n, i) => ({ id: `d${i}`, date: openDays(term)[i]!.date, session: idOf(n) }))
    const ids = { families: ['squat'], categories: [], builds: [], regions: ['lower'], parts: [] }
    const { weeks, rows } = coverage({ ...term, places }, sessions, ids)
    expect(weeks[0]).toMatchObject({ days: 2, open: 2 })
    const longest = ({ session }: { session: Session }) => Math.max(...session.groups.map((g) => lasts(session, g)))
    expect(weeks[0]!.minutes).toBe(longest(first!) + longest(second!))
    expect(weeks[0]!.newMoves.length).toBeGreaterThan(0)
    expect(weeks[1]!.newMoves).toEqual([])
    for (const row of rows) expect(row.total).toBe(row.weeks.reduce((a, b) => a + b, 0))
    const has = (n: number) => Number(sessions.get(idOf(n))!.families.includes('squat'))
    expect(rows[0]).toMatchObject({ id: 'squat', total: 2 * has(0) + has(1) })
  })
})

it('a repeated session is a step further at its second time, and adds no fix or advice', () => {
  const sessions = shelf(library).map((s) => s.session)
  let stepped = 0
  for (const session of sessions.slice(0, 12)) {
    const again = termStep(session, library, 1, {})
    expect(again.title).toBe(`${session.title} 2`)
    const { title: _, ...rest } = again
    stepped += Number(JSON.stringify(rest) !== JSON.stringify({ ...session, title: undefined }))
    const looks = (one: typeof session) => checkSession(one, library).filter((f) => f.level !== 'note').length
    expect(looks(again)).toBeLessThanOrEqual(looks(session))
    // A session to be beaten is repeated unchanged.
    expect({ ...termStep(session, library, 2, {}), title: '' }).toEqual({ ...again, title: '' })
  }
  expect(stepped).toBeGreaterThan(3)
})
