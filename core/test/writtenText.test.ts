import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { libraryFor, stationsOf, type PerGroup, type Session } from '@esfuerzo/core'
import { apply, parse, print, readText } from '@esfuerzo/core/notation'
import { strip } from '../src/notation/strip.ts'
import { looksPerGroup, valueFor } from '../src/terms/perGroup.ts'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'
import { writtenArbitrary } from './support/writtenSessions.ts'

/** Through JSON, and without the exercises it carries: a text contains none of them. */
const said = (w: Session): unknown => {
  const { moves: _, ...rest } = w
  return JSON.parse(JSON.stringify(rest))
}
const runs = { numRuns: samples(10, 1000) }

describe('names chosen freely by teachers survive the text', () => {
  it('parse(print(w)) is strip(w)', () => {
    fc.assert(
      fc.property(writtenArbitrary, (w) => {
        const known = libraryFor(w, library)
        const { workout: session, problems } = parse(print(w, known), known)
        expect(problems).toEqual([])
        expect(said(session)).toEqual(said(strip(w, known)))
      }),
      runs,
    )
  })

  it('apply(print(w), w) is w, with a library that does not know its own exercises', () => {
    fc.assert(
      fc.property(writtenArbitrary, (w) => {
        const applied = apply(print(w, library), w, library)
        expect(applied.problems).toEqual([])
        expect(applied.workout).toEqual(w)
      }),
      runs,
    )
  })

  it('a colleague without them reads, prints and sends it back: nothing is lost', () => {
    fc.assert(
      fc.property(writtenArbitrary, (w) => {
        const theirs = parse(print(w, library), library)
        expect(theirs.problems).toEqual([])
        const known = libraryFor(w, library)
        const back = parse(print(theirs.workout, library), known)
        expect(back.problems).toEqual([])
        // Which value is written as the shared one may differ; what each group does may not.
        const ids = back.workout.groups.map((g) => g.id)
        expect(spread(said(back.workout), ids)).toEqual(spread(said(strip(w, known)), ids))
        const once = print(theirs.workout, library)
        expect(print(parse(once, library).workout, library)).toBe(once)
      }),
      runs,
    )
  })
})

/** Each group's value for fields that may differ by group. */
function spread(value: unknown, groups: readonly string[]): unknown {
  if (value === null || typeof value !== 'object') return value
  if (Array.isArray(value)) return value.map((v) => spread(v, groups))
  if (looksPerGroup(value))
    return Object.fromEntries(groups.map((id) => [id, spread(valueFor(value as PerGroup<unknown>, id), groups)]))
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, spread(v, groups)]))
}

/** Every leaf of a value by its path. */
function leaves(value: unknown, path = ''): [string, unknown][] {
  if (value === null || typeof value !== 'object') return [[path, value]]
  return Object.entries(value).flatMap(([k, v]) => leaves(v, `${path}/${k}`))
}

it('a changed digit changes what it says, and nothing else', () => {
  let changed = 0
  fc.assert(
    fc.property(writtenArbitrary, fc.nat(), fc.integer({ min: 1, max: 9 }), (w, where, digit) => {
      const text = print(w, library)
      // For rows and the lines above them: no digit inside a name, a heading or a note.
      const from = text.indexOf('\n## ')
      const places = [...text.matchAll(/\d/g)]
        .map((m) => m.index)
        .filter(
          (at) => from > 0 && at > from && /^(?!#|>|note:|easier:|harder:|ask:|set up:|rules:)/.test(lineAt(text, at)),
        )
        .filter((at) => (text.slice(text.lastIndexOf('\n', at), at).match(/"/g) ?? []).length % 2 === 0)
      if (!places.length) return
      const at = places[where % places.length]!
      const typed = text.slice(0, at) + String(digit) + text.slice(at + 1)
      const applied = apply(typed, w, library)
      // Values no session has, such as 0 laps or a lap twice, are reported and left out.
      if (applied.problems.length || print(applied.workout, library) !== typed) return
      const ids = w.groups.map((g) => g.id)
      const [before, after] = [new Map(leaves(spread(w, ids))), new Map(leaves(spread(applied.workout, ids)))]
      const differ = [...new Set([...before.keys(), ...after.keys()])].filter((p) => before.get(p) !== after.get(p))
      // In one row, or in one fact of one block.
      const parts = new Set(differ.map((p) => /^(?:\/\w+){4}(?:\/stations\/\d+)?/.exec(p)?.[0]))
      expect(parts.size, `${lineAt(text, at)} → ${lineAt(typed, at)}\n${differ.join('\n')}`).toBeLessThanOrEqual(1)
      for (const p of differ) {
        const [a, b] = [before.get(p), after.get(p)]
        if (a === undefined || b === undefined || typeof a === 'boolean') expect(p).toMatch(/laps|rungs|targets/)
        else expect(typeof a, `${p}: ${String(a)} → ${String(b)}`).toBe('number')
      }
      changed++
    }),
    { numRuns: samples(20, 2000) },
  )
  expect(changed).toBeGreaterThan(samples(5, 500))
})
const lineAt = (text: string, at: number) =>
  text.slice(text.lastIndexOf('\n', at) + 1, (text.indexOf('\n', at) + text.length + 1) % (text.length + 1))

describe('one by one', () => {
  const rows = (text: string) =>
    parse(`groups 4-6\n## Main part\n${text}`, library).workout.sections[0]!.blocks.flatMap((b) => stationsOf(b))
  const back = (text: string) =>
    print(readText(`groups K-2, 3-5\n## Main part\n${text}`, library).workout, library)
      .split('## Main part\n')[1]!
      .trim()

  it.each([
    ['"Zorb" 1 [3-5: "Zorb" 3]', '"Zorb" 1 [3-5: "Zorb" 3]'],
    ['2: "zorb" 4', '"zorb" 4'],
    ['3x8 zorbs, rest 30', '3 sets, rest 30 s, rest between moves 0 s\n"Zorbs" 8'],
    ['squat 3x10', '3 sets, rest 0 s, rest between moves 0 s\nSquat 10'],
    ['squat 3 x 10, rest 45', '3 sets, rest 45 s, rest between moves 0 s\nSquat 10'],
    ['"squat, 3x10 [K-2: 5]" 4', '"squat, 3x10 [K-2: 5]" 4'],
    ['3 rounds\nsquat 5', '3 rounds, rest 0 s\nSquat 5'],
    ['3 sets\nsquat 5', '3 sets, rest 0 s, rest between moves 0 s\nSquat 5'],
    ['measure pulse a minute after', 'measure pulse a minute after, 1 trial'],
    ['measure pulse a minute after before', 'measure pulse a minute after before, 1 trial'],
    ['measure pulse after', 'measure pulse after, 1 trial'],
  ])('%s', (text, printed) => expect(back(text)).toBe(printed))

  it('anything in quotes is one name: no dose, face or comma is looked for in it', () => {
    const text = 'dice\n2: "3 zorbs, 5 kg; slow" 4\nthree: squat 3'
    expect(rows(text).map((s) => [s.face, s.cells.all.dose?.amount])).toEqual([
      ['two', 4],
      ['three', 3],
    ])
  })
})
