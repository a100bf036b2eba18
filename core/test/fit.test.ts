import fc from 'fast-check'
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { blockBounds } from '../src/bounds/blockBounds.ts'
import { sessionSeconds } from '../src/timing/sessionSeconds.ts'
import { isKept, timeline, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { applyFit, fit, type FitAnswer } from '@esfuerzo/core/tools'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'

const typed = (text: string): Session => {
  const { workout: session, problems } = parse(text, library)
  expect(problems).toEqual([])
  return session
}
/** How far a session exceeds its grades' limits, by block and group. Landings are for the whole session. */
function passed(session: Session): Map<string, number> {
  const over = new Map<string, number>()
  for (const group of session.groups) {
    const steps = timeline(session, group.id, library)
    const landings = { landings: 0, hardLandings: 0 }
    for (const block of session.sections.flatMap((s) => s.blocks)) {
      const own = steps.filter((s) => s.block === block.id)
      for (const { line, value, most } of blockBounds(block, group, own, library)) {
        if (line === 'landings' || line === 'hardLandings') {
          landings[line] += value
          over.set(`${group.id} ${line}`, Math.max(0, landings[line] - most))
        } else over.set(`${block.id} ${group.id} ${line}`, Math.max(0, value - most))
      }
    }
  }
  return over
}

/** Everything that must be true of an answer, whatever the session. */
function check(session: Session, answer: FitAnswer): void {
  const budget = session.minutes * 60
  const before = passed(session)
  expect(answer.before).toEqual(sessionSeconds(session, library))
  for (const way of answer.ways) {
    const after = applyFit(session, way.changes)
    expect(sessionSeconds(after, library)).toEqual(way.after)
    const ends = Object.values(way.after)
    if (answer.kind === 'ways') {
      expect(Math.max(...ends)).toBeLessThanOrEqual(budget)
      if (answer.asked === 'fill') expect(Math.min(...ends)).toBeGreaterThanOrEqual(budget - 60)
      if (session.finishTogether) expect(Math.max(...ends) - Math.min(...ends)).toBeLessThanOrEqual(15)
    }
    for (const [line, far] of passed(after)) expect(far, line).toBeLessThanOrEqual((before.get(line) ?? 0) + 1e-9)
    session.sections.forEach((section, i) => {
      if (isKept(section) || section.role === 'coolDown') expect(after.sections[i]).toEqual(section)
    })
    for (const group of session.groups) {
      // The first three minutes of the warm-up stay unchanged, step by step.
      const warm = (w: Session) => {
        let at = 0
        return timeline(w, group.id, library)
          .filter((s) => w.sections.find((x) => x.id === s.section)!.role === 'warmUp')
          .flatMap(({ kind, station, seconds: { typical } }) => {
            const begins = at
            at += typical
            return begins < 180 ? [{ kind, station, typical }] : []
          })
      }
      expect(warm(after).slice(0, warm(session).length)).toEqual(warm(session))
    }
  }
  const costs = answer.ways.map((way) => way.cost)
  expect(costs).toEqual([...costs].sort((a, b) => a - b))
}

const demo = new URL('../../server/demo/', import.meta.url)
const demoTexts = readdirSync(demo)
  .filter((name) => name.endsWith('.txt'))
  .map((name) => readFileSync(new URL(name, demo), 'utf8'))

describe('fit to the minutes', () => {
  it.each(demoTexts.map((text, i) => [text.split('\n')[0]!, text, i % 3] as const))(
    'delivers what it promises, within limits, with kept sections unchanged: %s',
    (_, text, one) => {
      const session = typed(text)
      const asks = [
        [-5, true],
        [-2, false],
        [3, session.title.length % 2 === 0],
      ] as const
      for (const [more, finishTogether] of samples([asks[one]!], [...asks])) {
        const asked = { ...session, minutes: Math.max(1, session.minutes + more), finishTogether }
        check(asked, fit(asked, library, { fill: more > 0 }))
      }
    },
  )

  it('removes a lap by its minutes, and among ways of equal cost prefers lanes that end closest together, then the fullest', () => {
    const asked = (line: string) =>
      fit(typed(`# Laps\nminutes 3; groups 4-6\n## Main part\n${line}: squat, march`), library).ways[0]
    // Four minutes to three. A lap of half a minute costs 2 plus 1, and two of them have to go.
    expect(asked('15/0 x 8')).toMatchObject({ cost: 6, changes: [{ lever: 'laps', steps: -2 }], after: { g1: 180 } })
    // A lap of 80 s costs 2 plus 2; ten seconds less of every work cost the same and leave the session fuller.
    expect(asked('40/0 x 3')).toMatchObject({ cost: 4, changes: [{ lever: 'work', steps: -2 }], after: { g1: 180 } })
  })

  it('takes nothing from a lane that is in time because another is late', () => {
    const text = demoTexts.find((t) => t.startsWith('# Storm-day springs'))!
    const session = typed(text)
    const { before, ways, budget } = fit({ ...session, minutes: 19, finishTogether: false }, library)
    const inTime = Object.keys(before).filter((id) => before[id]! <= budget)
    const late = Object.keys(before).filter((id) => before[id]! > budget)
    expect([inTime.length, late.length]).toEqual([2, 1])
    for (const id of inTime) expect(ways[0]!.after[id]).toBe(before[id])
    for (const id of late) expect(ways[0]!.after[id]).toBeLessThanOrEqual(budget)
  })

  it('holds for any session', () => {
    fc.assert(
      fc.property(
        sessionArbitrary,
        fc.integer({ min: 1, max: 40 }),
        fc.boolean(),
        fc.boolean(),
        (w, minutes, fill, finishTogether) => {
          const asked = { ...w, minutes, finishTogether }
          check(asked, fit(asked, library, { fill }))
        },
      ),
      { numRuns: samples(3, 30) },
    )
  })
})
