import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cellsFor } from '../src/library/cellsFor.ts'
import { pastePart } from '../src/session/edits/pastePart.ts'
import { likeGroups } from '../src/session/part.ts'
import {
  addStation,
  findBlock,
  idsOf,
  newSession,
  partOf,
  ProblemError,
  readPart,
  readSession,
  setCell,
  stationsOf,
  sessionView,
  stepAt,
  timeline,
  type Part,
  type Session,
} from '@esfuerzo/core'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'

const put = (w: Session, move: string) => addStation(w, 'b2', cellsFor(library.moves.get(move)!, w.groups, 'intervals'))
const three = () =>
  ['pogo', 'squat-jump', 'plank'].reduce(
    put,
    newSession(
      'Three',
      [
        [0, 1],
        [2, 3],
        [4, 5],
      ],
      20,
      1,
    ),
  )
const one = () => put(newSession('One', [[4, 5]], 20, 1), 'jog')
const movesOf = (w: Session, block = 'b2') => stationsOf(findBlock(w, block)).map((s) => s.cells.all.move)
const copied = (from: Session, piece: Parameters<typeof partOf>[1]) => readPart(JSON.stringify(partOf(from, piece)))!

describe('a copied piece', () => {
  it('is inserted after a station, a block or a section, with ids of its own', () => {
    const w = three()
    const [section, block] = [w.sections[1]!, w.sections[1]!.blocks[0]!]
    const station = stationsOf(block)[0]!
    const place = { section: 'p2', block: 'b2', station: 's2' }
    expect(movesOf(pastePart(w, copied(w, [station]), place))).toEqual(['pogo', 'squat-jump', 'pogo', 'plank'])
    expect(pastePart(w, copied(w, block), place).sections[1]!.blocks.map((b) => b.id)).toEqual(['b2', 'b4'])
    expect(pastePart(w, copied(w, section), place).sections.map((s) => s.id)).toEqual(['p1', 'p2', 'p4', 'p3'])
    // Without a block of its own, the cursor's section decides the place.
    expect(movesOf(pastePart(w, copied(w, [station]), { section: 'p2' }))).toEqual([
      'pogo',
      'squat-jump',
      'plank',
      'pogo',
    ])
  })

  it('gives each group the values of the most similar group, whatever their ids', () => {
    const w = setCell(three(), 's1', ['g3'], (cell) => ({ ...cell, version: 'quarter-turn' }))
    const into = pastePart(one(), copied(w, [stationsOf(findBlock(w, 'b2'))[0]!]), { section: 'p2', block: 'b2' })
    const { cells } = stationsOf(findBlock(into, 'b2')).at(-1)!
    // The only group, grades 4–5, is most similar to the third one there.
    expect(cells).toEqual({ all: { move: 'pogo', version: 'quarter-turn' } })
    expect(
      likeGroups(
        [{ id: 'a', grades: [6] }],
        [
          { id: 'x', grades: [0] },
          { id: 'y', grades: [3, 4] },
        ],
      ).get('a'),
    ).toBe('y')
  })

  it('may be several stations, which stay together', () => {
    const w = three()
    const two = copied(w, stationsOf(findBlock(w, 'b2')).slice(0, 2))
    const into = pastePart(w, two, { section: 'p2', block: 'b2', station: 's3' })
    expect(movesOf(into)).toEqual(['pogo', 'squat-jump', 'plank', 'pogo', 'squat-jump'])
  })

  it('is refused where it cannot go, or if it claims to be a piece but is not valid', () => {
    const w = three()
    const station = copied(w, [stationsOf(findBlock(w, 'b2'))[0]!])
    const empty = { ...w, sections: w.sections.map((s) => ({ ...s, blocks: [] })) }
    expect(() => pastePart(empty, station, { section: 'p1' })).toThrow('not-found')
    expect(() => readPart('{"format":"esfuerzo.part","version":1,"kind":"stations","stations":[{"id":"s1"}]}')).toThrow(
      ProblemError,
    )
    for (const other of ['hello', '{"a":1}', 'null', '[1]', '']) expect(readPart(other)).toBeUndefined()
  })

  it('of any session, put into any other, leaves a valid session with unique ids', () => {
    fc.assert(
      fc.property(sessionArbitrary, sessionArbitrary, fc.nat(), fc.nat(), (from, to, which, where) => {
        const pieces = from.sections.flatMap((s) => [s, ...s.blocks, ...s.blocks.flatMap((b) => stationsOf(b))])
        fc.pre(pieces.length > 0 && to.sections.length > 0)
        const piece = pieces[which % pieces.length]!
        const part: Part = copied(from, 'blocks' in piece || 'form' in piece ? piece : [piece])
        const section = to.sections[where % to.sections.length]!
        try {
          const result = pastePart(to, part, { section: section.id, block: section.blocks[0]?.id })
          const plain = JSON.parse(JSON.stringify(result))
          expect(readSession(plain)).toEqual(plain)
          expect(new Set(idsOf(result)).size).toBe([...idsOf(result)].length)
        } catch (error) {
          expect(error).toBeInstanceOf(ProblemError)
        }
      }),
    )
  })
})

it('the step at any moment is the one whose seconds contain it', () => {
  fc.assert(
    fc.property(sessionArbitrary, fc.double({ min: -5, max: 2000, noNaN: true }), (w, seconds) => {
      const steps = timeline(w, w.groups[0]!.id, library)
      const slow = steps.find((s) => s.at <= seconds && seconds < s.at + s.seconds.typical)
      const found = stepAt(sessionView(w, library)[0]!, seconds)
      expect(found && { ...found.step, at: found.at }).toEqual(slow)
    }),
  )
})
