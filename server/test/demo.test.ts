import { describe, expect, it } from 'vitest'
import { timeline, totals, type Role } from '@esfuerzo/core'
import { parse, print } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import { beginnings } from '@esfuerzo/library'
import type { Run } from '@esfuerzo/core/run'
import { demoClasses } from '../src/demo/classes.ts'
import { demoRuns } from '../src/demo/runs.ts'
import { demoSessions, demoText, demoSession } from '../src/demo/sessions.ts'
import { library } from './support/testServer.ts'

/** The length of a section for its groups, in seconds or in the unit it counts. */
const main = (file: string, role: Role = 'main') => {
  const { workout: session, problems } = parse(demoText(file), library)
  expect(problems).toEqual([])
  return session.groups.map((group) => {
    const steps = timeline(session, group.id, library)
    const { id } = session.sections.find((s) => s.role === role)!
    return totals(
      steps.filter((s) => s.section === id),
      group,
      library,
    ).session
  })
}
const seconds = (file: string, role?: Role) => main(file, role).map((t) => t.seconds.typical)
const reps = (file: string) => main(file).map((t) => Object.values(t.reps).map(Math.round))

describe('the demo’s sessions, typed as text, have the right times', () => {
  it('there are more than fifteen, of a dozen and more forms', () => {
    expect(demoSessions.length).toBeGreaterThanOrEqual(15)
    const forms = new Set(
      demoSessions.flatMap((s) => demoSession(s, library).sections.flatMap((p) => p.blocks.map((b) => b.form))),
    )
    expect([...forms].sort()).toEqual([
      'amrap',
      'calls',
      'chance',
      'game',
      'intervals',
      'ladder',
      'levels',
      'list',
      'measure',
      'quiz',
      'rounds',
      'sets',
      'sums',
      'talk',
      'target',
    ])
  })

  // By the clock: calculated by hand from the whiteboard text.
  it.each<[string, Role | undefined, number[]]>([
    // 30 s talk, 8 × (20 + 10), 45 s, 8 × (20 + 10)
    ['the-ferry-stays-in', 'main', [555, 555, 555]],
    // 5 stations × 2 laps: K–1 20/20, the others 30/20, with 60 s for the last rest of the first lap
    ['rock-pool-circuit', 'main', [440, 540, 540]],
    // 4 × 2 at 40/15, without the last rest
    ['heron-and-limpet', 'main', [425, 425, 425]],
    // K–1 10 × 20/25 without the last rest; 10 × 25/20 (30/20) twice with 80 s between, without the last rest
    ['ten-gannets', 'main', [425, 940, 1040]],
    // 4 × 3 at 20/40, 15/45, 20/45
    ['storm-day-springs', 'main', [720, 720, 780]],
    // 3 × 12/28
    ['storm-day-springs', 'game', [120, 120, 120]],
    // 3 × 3 at 20/20 and 30/20, 45 s between laps
    ['harbour-wall', 'main', [410, 500, 500]],
    // one call every few seconds for three minutes
    ['captains-orders', 'main', [180, 180, 180]],
    // ends at the cap
    ['round-the-island', 'main', [300, 480, 480]],
    // pulse once: 15 + 5
    ['round-the-island', 'test', [20, 20, 20]],
    // 5 throws × 4 s, 15 s to collect and 5 s to write down, four rounds; K–1 three
    ['socks-over-the-net', 'main', [120, 160, 160]],
    // two questions
    ['still-waters', 'challenge', [40, 40, 40]],
    // 2 stations with a turn each side and one with none are 4 slots: 3 laps of 30/15, less the last rest, and two pulses
    ['gulls-and-tides', 'main', [3 * 4 * 45 - 15 + 40, 3 * 4 * 45 - 15 + 40, 3 * 4 * 45 - 15 + 40]],
  ])('%s, %s', (file, role, expected) => {
    expect(seconds(file, role)).toEqual(expected)
  })

  it('ladders add up: 15 of each to five, 28 to seven, 55 to ten', () => {
    // Push-ups, bridges, jacks, squats.
    expect(reps('up-the-mast')).toEqual([
      [15, 15, 15, 15],
      [28, 28, 28, 28],
      [55, 55, 55, 55],
    ])
  })

  it('rounds and sets have the right counts: two or three of each', () => {
    expect(main('five-buoys').map((t) => t.reps.squat)).toEqual([20, 30, 30])
    expect(main('three-casts').map((t) => t.reps.squat)).toEqual([20, 30, 30])
  })

  it('sums have as many reps as their answers, between the smallest and the largest', () => {
    for (const [i, [from, to]] of [
      [3, 8],
      [5, 12],
      [5, 12],
    ].entries()) {
      const all = Object.values(main('counting-the-catch')[i]!.reps)
      expect(all).toHaveLength(6)
      for (const n of all) expect(n >= from! && n <= to!).toBe(true)
    }
  })

  it.each(demoSessions.map((s) => [s.file, s] as const))(
    '%s: its text is stable, fits its minutes and can be sent',
    (_, session) => {
      const workout = demoSession(session, library)
      const text = print(workout, library)
      expect(print(parse(text, library).workout, library)).toBe(text)
      for (const group of workout.groups) {
        const { typical } = totals(timeline(workout, group.id, library), group, library).session.seconds
        expect(typical).toBeLessThanOrEqual(workout.minutes * 60)
      }
      expect(publish(workout, library).lanes).toHaveLength(workout.groups.length)
    },
  )
})

it.each(beginnings.map((b) => [b.id, b] as const))(
  'the starting point “%s” is read completely, and fits its minutes',
  (_, { text }) => {
    const { workout: session, problems } = parse(text, library)
    expect(problems).toEqual([])
    expect(session.sections.map((s) => s.role)).toEqual(['warmUp', 'main', 'coolDown'])
    for (const group of session.groups) {
      const { typical } = totals(timeline(session, group.id, library), group, library).session.seconds
      expect(typical).toBeLessThanOrEqual(session.minutes * 60)
      expect(typical).toBeGreaterThan(session.minutes * 60 * 0.4)
    }
  },
)

describe('the demo’s classes', () => {
  const classes = demoClasses(77)
  const sent = demoSessions.flatMap((session) => {
    if (session.draft) return []
    const publication = publish(demoSession(session, library), library)
    return [...(session.before ?? []), session.weeksAgo].map((weeksAgo) => {
      const sentAt = new Date(Date.UTC(2026, 10, 28) - weeksAgo * 7 * 86_400_000)
      const sent = { publication, sha256: 'a'.repeat(64), sentAt, until: new Date(Date.UTC(2026, 10, 28)), weeksAgo }
      const pupils = classes.flatMap((c) => c.pupils)
      const odd = session.odd ?? false
      return {
        publication,
        weeksAgo,
        odd,
        runs: demoRuns({ ...sent, odd, tests: session.tests ?? false }, pupils, library, weeksAgo),
      }
    })
  })

  it('are three of 18 to 24 aliases, none twice, always the same', () => {
    expect(classes.map((c) => c.pupils.length)).toEqual([18, 22, 24])
    const aliases = classes.flatMap((c) => c.pupils.map((p) => p.alias))
    expect(new Set(aliases).size).toBe(aliases.length)
    expect(demoClasses(77)).toEqual(classes)
  })

  it('ran over eight weeks, some sessions and others not, some without a code', () => {
    expect(new Set(sent.map((s) => s.weeksAgo))).toEqual(new Set([1, 2, 3, 4, 5, 6, 7, 8]))
    for (const { runs } of sent) {
      const ran = new Set(runs.map((r) => r.alias))
      expect(ran.has(undefined)).toBe(true)
      expect(ran.size).toBeGreaterThan(15)
      expect(ran.size).toBeLessThan(60)
    }
  })

  it('have two odd runs of one session: one left open far too long, one skipped through', () => {
    expect(sent.filter((s) => s.odd)).toHaveLength(1)
    const took = ({ startedAt, finishedAt }: Run) => (Date.parse(finishedAt) - Date.parse(startedAt)) / 1000
    for (const { publication, odd, runs } of sent) {
      const usual = (run: Run) => publication.lanes.find((l) => l.id === run.group)!.seconds.typical
      const long = runs.filter(({ run }) => took(run) > 2 * usual(run))
      const skipped = runs.filter(({ run }) => run.steps.done === 0)
      expect([long.length, skipped.length]).toEqual(odd ? [1, 1] : [0, 0])
    }
  })
})
