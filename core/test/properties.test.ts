import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import * as core from '@esfuerzo/core'
import { cellsFor } from '../src/library/cellsFor.ts'
import { idsOf, ProblemError, readSession, readSessionText, timeline, totals, valueFor } from '@esfuerzo/core'
import { cellArbitrary, sessionArbitrary } from './arbitraries.ts'
import { library, typicalSeconds } from './sessions.ts'
import { editsOf } from './support/anyEdit.ts'
import { samples } from './support/samples.ts'

describe('any valid session', () => {
  it('has steps without gap or overlap that add up to the total, for every group', () => {
    fc.assert(
      fc.property(sessionArbitrary, (session) => {
        for (const group of session.groups) {
          const steps = timeline(session, group.id, library)
          let at = 0
          for (const step of steps) {
            expect(step.at).toBe(at)
            expect(Number.isInteger(step.seconds.typical)).toBe(true)
            expect(step.seconds.low).toBeLessThanOrEqual(step.seconds.typical)
            expect(step.seconds.high).toBeGreaterThanOrEqual(step.seconds.typical)
            // A step is in a set or in a lap: whoever counts by one of them need not ask which comes first.
            expect(step.set !== undefined && step.lap !== undefined).toBe(false)
            if (step.by === 'clock') expect(new Set(Object.values(step.seconds)).size).toBe(1)
            at += step.seconds.typical
          }
          const sum = totals(steps, group, library)
          expect(sum.session.seconds.typical).toBe(at)
          const { work, rest, change, talk, measure } = sum.session
          expect(work + rest + change + talk + measure).toBe(at)
          expect(Object.values(sum.sections).reduce((n, s) => n + s.seconds.typical, 0)).toBe(typicalSeconds(steps))
        }
      }),
      { numRuns: samples(30, 300) },
    )
  })

  it('survives saving and loading, including odd Unicode', () => {
    fc.assert(
      fc.property(sessionArbitrary, (session) => {
        const text = JSON.stringify(session)
        const loaded = readSessionText(text)
        expect(loaded).toEqual(JSON.parse(text))
        expect(readSession(loaded)).toEqual(loaded)
      }),
      { numRuns: samples(30, 300) },
    )
  })
})

const chance = fc.infiniteStream(fc.nat())

describe('every edit', () => {
  it('keeps a document valid, or refuses by name and changes nothing', () => {
    const seen = new Set<string>()
    fc.assert(
      fc.property(
        sessionArbitrary,
        chance,
        fc.array(cellArbitrary, { minLength: 6, maxLength: 12 }),
        (start, stream, cells) => {
          let session = start
          const pick = (n: number) => stream.next().value! % n
          for (const cell of cells) {
            const edits = Object.entries(editsOf(session, pick, cell))
            const [name, edit] = edits[pick(edits.length)]!
            const before = JSON.stringify(session)
            try {
              session = edit()
              seen.add(name)
            } catch (error) {
              expect(error).toBeInstanceOf(ProblemError)
            }
            if (session === start) expect(JSON.stringify(session)).toBe(before)
            const plain = JSON.parse(JSON.stringify(session))
            expect(readSession(plain)).toEqual(plain)
            expect(new Set(idsOf(session)).size).toBe([...idsOf(session)].length)
          }
        },
      ),
      { numRuns: samples(80, 300) },
    )
    // Every one of them was applied at least once.
    expect([...seen].sort()).toEqual(
      Object.keys(editsOf(core.newSession('x', [[1]], 9, 1), () => 0, {} as core.Cell)).sort(),
    )
  })

  it('of a cell affects only the given groups', () => {
    fc.assert(
      fc.property(sessionArbitrary, chance, cellArbitrary, (session, stream, cell) => {
        const all = session.sections.flatMap((s) => s.blocks).flatMap((b) => core.stationsOf(b))
        fc.pre(all.length > 0)
        const station = all[stream.next().value! % all.length]!
        const group = session.groups[stream.next().value! % session.groups.length]!.id
        const edited = core.findStation(
          core.setCell(session, station.id, [group], () => cell),
          station.id,
        )
        expect(valueFor(edited.cells, group)).toEqual(cell)
        for (const { id } of session.groups) {
          if (id !== group) expect(valueFor(edited.cells, id)).toEqual(valueFor(station.cells, id))
        }
      }),
    )
  })
})

it('limits: no edit exceeds them', () => {
  let session = core.newSession('x', [[1]], 20, 1)
  for (let i = 3; i < core.limits.sections; i++) session = core.addSection(session, { role: 'main', title: 'Part' })
  expect(() => core.addSection(session, { role: 'main', title: 'Part' })).toThrow(ProblemError)
  const cells = cellsFor(library.moves.get('squat')!, session.groups, 'list')
  for (let i = 0; i < core.limits.stations; i++) session = core.addStation(session, 'b1', cells)
  expect(() => core.addStation(session, 'b1', cells)).toThrow('too-many')
  expect(() => core.duplicateSection(session, 'p1')).toThrow('too-many')
})
