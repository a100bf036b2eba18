import { describe, expect, it } from 'vitest'
import { indexLibrary, newSession, sessionView, stationsOf, timeline, type Block, type Session } from '@esfuerzo/core'
import { checkSession, type Finding } from '@esfuerzo/core/checks'
import {
  applyNext,
  nextTime,
  nextTitle,
  saidClean,
  signalOf,
  type CameBack,
  type NextChange,
} from '@esfuerzo/core/nextTime'
import { parse } from '@esfuerzo/core/notation'
import { libraryData } from '@esfuerzo/library'
import { bandOf } from '../src/checks/limits.ts'
import { stepsOf } from '../src/nextTime/formSteps.ts'
import { changeBlock } from '../src/session/edits/locate.ts'
import { demoSessions, demoSession } from '../../server/src/demo/sessions.ts'
import { samples } from './support/samples.ts'

const library = indexLibrary(libraryData)
const saying = ({ rule, level, where }: Finding) => [rule, level, where.block ?? where.section, where.station].join(' ')

const run = (fields: Partial<CameBack> = {}): CameBack => ({
  felt: { scale: 'ten', value: 5 },
  clean: 4,
  told: 4,
  easier: false,
  early: false,
  ...fields,
})
const runs = (n: number, fields: Partial<CameBack> = {}) => Array.from({ length: n }, () => run(fields))

describe('the conclusion from results', () => {
  it('is a step up from five clean and easy runs on, or after two times in a row', () => {
    expect(signalOf([runs(5)])).toBe('up')
    expect(signalOf([runs(4)])).toBe('unknown')
    expect(signalOf([runs(2), runs(1)])).toBe('up')
    expect(signalOf([runs(2), runs(2, { clean: 2 })])).toBe('same')
  })
  it('is a step down if three of ten made it easier, stopped, or were not clean', () => {
    for (const hard of [{ easier: true }, { early: true }, { clean: 1 }])
      expect(signalOf([[...runs(7), ...runs(3, hard)]])).toBe('down')
    expect(signalOf([[...runs(8), ...runs(2, { early: true })]])).toBe('up')
  })
  it('is a step up if seven of ten are clean, and the same below', () => {
    expect(signalOf([runs(5, { told: 10, clean: 7 })])).toBe('up')
    expect(signalOf([runs(5, { told: 100, clean: 69 })])).toBe('same')
  })
  it('is the same if it was hard, and nothing if nobody said how it was', () => {
    expect(signalOf([runs(6, { felt: { scale: 'ten', value: 7 } })])).toBe('same')
    expect(signalOf([runs(6, { felt: { scale: 'faces', value: 3 } })])).toBe('up')
    expect(signalOf([runs(6, { felt: { scale: 'faces', value: 4 } })])).toBe('same')
    expect(signalOf([runs(6, { felt: undefined })])).toBe('unknown')
    expect(signalOf([runs(6, { told: 0, clean: 0 })])).toBe('unknown')
    expect(signalOf([])).toBe('unknown')
    // Half of them have to say so.
    expect(signalOf([[...runs(3), ...runs(3, { told: 0, clean: 0 })]])).toBe('up')
    expect(signalOf([[...runs(2), ...runs(4, { told: 0, clean: 0 })]])).toBe('unknown')
    expect(signalOf([[...runs(3), ...runs(3, { felt: undefined })]])).toBe('up')
    expect(signalOf([[...runs(2), ...runs(4, { felt: undefined })]])).toBe('unknown')
  })
  it('treats paper as clean only if its teacher says so, and still counts those who stopped', () => {
    const paper = runs(5, { typed: true, told: 0, clean: 0 })
    expect(signalOf([paper])).toBe('unknown')
    expect(signalOf([paper.map(saidClean)])).toBe('up')
    // What says by itself that it was not clean stays so.
    expect(signalOf([runs(5, { typed: true, clean: 1 }).map(saidClean)])).toBe('down')
    expect(signalOf([[...runs(3), ...runs(2, { early: true }), ...paper, ...paper].map(saidClean)])).toBe('down')
  })
})

const warm = '## Warm-up\njog on the spot 100 s\narm circles 10\nknee hugs 10\nmarch on the spot 100 s\n'
const cool = '## Cool-down\nquad stretch 20 s\ncalf stretch 20 s\nslow breaths 4 breaths\n'
function session(main: string, grades: number[]): Session {
  const { groups } = newSession('x', [grades], 20, library.version)
  const { workout: session, problems } = parse(`# Fog\nminutes 25\n${warm}## Main\n${main}\n${cool}`, library, groups)
  if (problems.length) throw new Error(JSON.stringify(problems))
  return session
}
const next = (session: Session, fields: Partial<CameBack> = {}, weeks = 4 - 1) =>
  nextTime(session, library, Object.fromEntries(session.groups.map((g) => [g.id, [runs(6, fields)]])), weeks)
const first = (main: string, grades: number[], fields: Partial<CameBack> = {}): NextChange | undefined =>
  next(session(main, grades), fields)[0]!.changes[0]

describe('next time', () => {
  // The table of steps by form and age: common practice, no source.
  it.each([
    ['3 rounds, rest 60 s\nsquat 10\npush-up 10', [2], 'reps', 10, 11],
    ['3 rounds, rest 60 s\n"Push-up: Knee push-up" 15\nsquat 15', [5], 'version', 'Knee push-up', undefined],
    ['3 rounds, rest 60 s\nsquat 12\nlunge 12', [5], 'reps', 12, 13],
    ['3 laps 30/30\nsquat\njog on the spot', [3], 'work', 30, 35],
    ['2 laps 40/40\nsquat\njog on the spot', [3], 'lap', 2, 3],
    ['3 laps 55/60\nsquat\njog on the spot', [5], 'work', 55, 60],
    ['amrap 8 min\nsquat 8\npush-up 4', [5], 'minute', 480, 540],
    ['ladder 1-6, rest 20 s\nsquat\npush-up', [2], 'rung', 6, 7],
    ['one-leg stand 15 s', [3], 'hold', 15, 20],
    ['3 sets, rest 60 s\nbag row 12; 2 kg', [2], 'weight', 2, 2.1],
    ['3 sets, rest 60 s\nbag row 12; 0.25 kg', [2], 'weight', 0.25, 0.35],
  ] as const)('%s, grade %j: %s', (main, grades, lever, from, to) => {
    const change = first(main, [...grades])
    expect(change).toMatchObject({ lever, direction: 'up' })
    if (from !== undefined) expect(change!.facts).toMatchObject({ from, ...(to !== undefined && { to }) })
  })

  it('gives the youngest no more reps, no longer work, no shorter rest, no weight', () => {
    for (const main of ['3 rounds, rest 60 s\nsquat 5\nlunge 5', '2 laps 20/25\nsquat\njog on the spot', 'squat 5'])
      for (const change of next(session(main, [0, 1]))[0]!.changes)
        expect(['version', 'round', 'lap']).toContain(change.lever)
  })
  it('never adds a jump: power becomes softer and further', () => {
    const reps = next(session('3 rounds, rest 60 s\nsquat jump 5\nbroad jump 4', [5]))[0]!.changes
    expect(reps.filter((c) => c.lever === 'reps')).toEqual([])
  })
  it('takes a step down after too much: shorter work, an easier version, two rungs', () => {
    expect(first('3 laps 30/30\nsquat\njog on the spot', [3], { early: true })).toMatchObject({
      lever: 'work',
      facts: { to: 25 },
    })
    expect(first('ladder 1-8, rest 20 s\nsquat\npush-up', [3], { easier: true })).toMatchObject({ facts: { to: 6 } })
    const easier = first('3 rounds, rest 60 s\nsquat 10\n"Push-up: Push-up" 8', [5], { easier: true })
    expect(easier).toMatchObject({ lever: 'version', direction: 'down' })
  })
  it('stays the same after weeks, and says so', () => {
    expect(next(session('3 laps 30/30\nsquat\njog on the spot', [3]), {}, 5)).toMatchObject([
      { why: 'long-ago', changes: [] },
    ])
    expect(next(session('3 laps 30/30\nsquat\njog on the spot', [3]), { felt: undefined })).toMatchObject([
      { signal: 'unknown', changes: [] },
    ])
  })
  it('finds no step for chance or words', () => {
    expect(next(session('talk 60 s\njog on the spot 90 s', [3]))).toMatchObject([{ why: 'no-step', changes: [] }])
  })
  it('moves a shared value once, and only if all lanes agree', () => {
    const throws = (signals: Partial<CameBack>[]) => {
      const { groups } = newSession(
        'x',
        [
          [0, 1],
          [2, 3],
          [4, 5, 6],
        ],
        20,
        library.version,
      )
      const { workout: session } = parse(
        `# Fog\nminutes 25\n${warm}## Main\ntarget 2 m = 1, 5 throws, 3 rounds\n${cool}`,
        library,
        groups,
      )
      const back = Object.fromEntries(groups.map((g, i) => [g.id, [runs(6, signals[i])]]))
      const lanes = nextTime(session, library, back, 1)
      const after = applyNext(
        session,
        library,
        lanes.flatMap((lane) => lane.changes.slice(0, 1)),
      )
      const [block] = after.sections[1]!.blocks
      return [
        lanes.map((lane) => lane.why ?? lane.changes[0]!.lever),
        block?.form === 'target' && block.targets[0]!.metres,
      ]
    }
    expect(throws([{}, {}, {}])).toEqual([['distance', 'shared', 'shared'], 2.5])
    expect(throws([{ early: true }, { early: true }, { early: true }])).toEqual([['distance', 'shared', 'shared'], 1.5])
    expect(throws([{}, { early: true }, {}])).toEqual([['apart', 'apart', 'apart'], 2])
  })

  it('marks exactly the steps that move another lane as shared', () => {
    for (const demo of demoSessions.filter((_, i) => i % samples(4, 1) === 0)) {
      const session = demoSession(demo, library)
      const steps = (w: Session, id: string) => JSON.stringify(timeline(w, id, library))
      for (const group of session.groups)
        for (const block of session.sections.flatMap((s) => s.blocks)) {
          const { up, down } = stepsOf(block, { group, band: bandOf(group.grades), library, home: session.home })
          for (const step of [...up, ...down].filter((s) => s !== undefined)) {
            const after = changeBlock(session, block.id, () => step.block as Block)
            const moved = session.groups.some((g) => g.id !== group.id && steps(after, g.id) !== steps(session, g.id))
            expect(moved, `${demo.file}: ${step.lever}`).toBe(step.shared === true)
          }
        }
    }
  })

  it('grows a falling ladder at its larger end', () => {
    expect(first('ladder 6-1, rest 20 s\nsquat\npush-up', [2])).toMatchObject({
      lever: 'rung',
      facts: { from: 6, to: 7 },
    })
    expect(first('ladder 8-1, rest 20 s\nsquat\npush-up', [3], { easier: true })).toMatchObject({
      facts: { from: 8, to: 6 },
    })
  })

  it('numbers the title', () => {
    expect([nextTitle('Fog'), nextTitle('Fog 2'), nextTitle('Fog 9')]).toEqual(['Fog 2', 'Fog 3', 'Fog 10'])
  })
})

describe('every demo session', () => {
  it.each(demoSessions.map((s) => [s.file, s] as const))(
    '%s: each step is one lever, small, and adds no finding',
    (_, demo) => {
      const session = demoSession(demo, library)
      const known = new Set(checkSession(session, library).map(saying))
      const before = sessionView(session, library)
      for (const fields of [{}, { early: true }])
        for (const weeks of [1, 3])
          for (const lane of next(session, fields, weeks))
            for (const change of lane.changes) {
              const after = applyNext(session, library, [change])
              expect(after).not.toEqual(session)
              const i = session.groups.findIndex((g) => g.id === lane.group)
              const view = sessionView(after, library)
              // One block, and nothing of other lanes except shared targets.
              const blocks = (w: Session) => w.sections.flatMap((s) => s.blocks)
              const changed = blocks(after).filter((b, n) => b !== blocks(session)[n])
              expect(changed.map((b) => b.id)).toEqual([change.block])
              view.forEach((v, n) => {
                if (n !== i && change.lever !== 'distance')
                  expect(v.totals.session.seconds).toEqual(before[n]!.totals.session.seconds)
              })
              const [was, is] = [before[i]!.totals.session.work, view[i]!.totals.session.work]
              if (change.direction === 'up') expect(is).toBeLessThanOrEqual(was * (1 + 0.1 * weeks))
              expect(checkSession(after, library).filter((f) => f.level !== 'note' && !known.has(saying(f)))).toEqual(
                [],
              )
              expect(stationsOf(changed[0]!).length).toBe(
                stationsOf(blocks(session).find((b) => b.id === change.block)!).length,
              )
            }
    },
  )
})
