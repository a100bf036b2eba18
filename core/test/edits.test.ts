import { beforeEach, describe, expect, it } from 'vitest'
import { cellsFor } from '../src/library/cellsFor.ts'
import {
  addBlock,
  addGroup,
  addSection,
  addStation,
  duplicateBlock,
  duplicateSection,
  duplicateStation,
  findBlock,
  findStation,
  isKept,
  mapGroups,
  moveBlock,
  moveSection,
  moveStation,
  newSession,
  ProblemError,
  removeBlock,
  removeGroup,
  removeSection,
  removeStation,
  setBlock,
  setBlockWords,
  setCell,
  setDetails,
  setGroup,
  setSection,
  setStation,
  stationsOf,
  valueFor,
  type Session,
} from '@esfuerzo/core'
import { library } from './sessions.ts'

let w: Session
const put = (session: Session, block: string, move: string, after?: string) =>
  addStation(session, block, cellsFor(library.moves.get(move)!, session.groups, findBlock(session, block).form), after)
/** The exercises of a block, top to bottom. */
const movesOf = (session: Session, block: string) => stationsOf(findBlock(session, block)).map((s) => s.cells.all.move)
const codeOf = (edit: () => unknown) => {
  try {
    edit()
  } catch (error) {
    if (error instanceof ProblemError) return error.problems[0]!.code
    throw error
  }
  return undefined
}

beforeEach(() => {
  w = newSession(
    'Springs',
    [
      [0, 1],
      [4, 5],
    ],
    20,
    library.version,
  )
  for (const move of ['march', 'squat']) w = put(w, 'b1', move)
  for (const move of ['pogo', 'plank', 'lunge']) w = put(w, 'b2', move)
})

describe('stations', () => {
  it('are added at the end or after another, with an id of their own', () => {
    const next = put(w, 'b2', 'jog', 's3')
    expect(movesOf(next, 'b2')).toEqual(['pogo', 'jog', 'plank', 'lunge'])
    expect(stationsOf(findBlock(next, 'b2')).map((s) => s.id)).toEqual(['s3', 's6', 's4', 's5'])
    expect(movesOf(w, 'b2')).toHaveLength(3)
  })

  it('move within their block and on into the nearest one that takes stations', () => {
    expect(movesOf(moveStation(w, 's4', -1), 'b2')).toEqual(['plank', 'pogo', 'lunge'])
    const up = moveStation(w, 's3', -1)
    expect([movesOf(up, 'b1'), movesOf(up, 'b2')]).toEqual([
      ['march', 'squat', 'pogo'],
      ['plank', 'lunge'],
    ])
    // A talk in between is skipped.
    const talk = addBlock(w, 'p2', 'talk', 'b2')
    expect(movesOf(moveStation(talk, 's3', -1), 'b1')).toEqual(['march', 'squat', 'pogo'])
    expect(movesOf(moveStation(w, 's5', 1), 'b3')).toEqual(['lunge'])
    expect(moveStation(w, 's1', -1)).toBe(w)
  })

  it('are duplicated right below and removed', () => {
    const twice = duplicateStation(w, 's4')
    expect(movesOf(twice, 'b2')).toEqual(['pogo', 'plank', 'plank', 'lunge'])
    expect(movesOf(removeStation(twice, 's4'), 'b2')).toEqual(['pogo', 'plank', 'lunge'])
  })

  it('change for the given groups, and become shared again when they are equal', () => {
    const own = setCell(w, 's2', ['g1'], (cell) => ({ ...cell, version: 'slow-squat' }))
    const { cells } = findStation(own, 's2')
    expect([valueFor(cells, 'g1').version, valueFor(cells, 'g2').version]).toEqual(['slow-squat', 'squat'])
    const again = setCell(own, 's2', ['g1'], (cell) => ({ ...cell, version: 'squat' }))
    expect(findStation(again, 's2').cells.by).toBeUndefined()
    expect(findStation(again, 's2').cells.all.version).toBe('squat')
    const all = setCell(own, 's2', 'all', (cell) => ({ ...cell, dose: { unit: 'reps', amount: 12 } }))
    expect(findStation(all, 's2').cells).toMatchObject({
      all: { version: 'slow-squat', dose: { amount: 12 } },
      by: { g2: { version: 'squat', dose: { amount: 12 } } },
    })
  })

  it('take a story name, a focus and recording of results, and lose them again', () => {
    const told = setStation(w, 's3', { storyName: 'Buoy in the waves', record: 'reps', pinned: true })
    expect(findStation(told, 's3')).toMatchObject({ storyName: 'Buoy in the waves', record: 'reps', pinned: true })
    expect(findStation(setStation(told, 's3', { storyName: undefined }), 's3').storyName).toBeUndefined()
  })

  it('refuse unknown ids and invalid values', () => {
    expect(codeOf(() => removeStation(w, 's99'))).toBe('not-found')
    expect(codeOf(() => setCell(w, 's1', 'all', (cell) => ({ ...cell, dose: { unit: 'reps', amount: 0 } })))).toBe(
      'too-small',
    )
    expect(codeOf(() => setStation(w, 's1', { storyName: 'x'.repeat(121) }))).toBe('too-large')
    expect(codeOf(() => addStation(addBlock(w, 'p1', 'talk'), 'b4', { all: { move: 'jog', version: 'jog' } }))).toBe(
      'invalid',
    )
  })
})

describe('blocks', () => {
  it('are added, moved past the edge of their section, duplicated with new ids and removed', () => {
    const two = addBlock(w, 'p2', 'talk', 'b2')
    expect(two.sections[1]!.blocks.map((b) => b.form)).toEqual(['talk', 'intervals'])
    expect(moveBlock(two, 'b4', 1).sections[1]!.blocks.map((b) => b.id)).toEqual(['b2', 'b4'])
    expect(moveBlock(two, 'b4', -1).sections.map((s) => s.blocks.map((b) => b.id))).toEqual([
      ['b1', 'b4'],
      ['b2'],
      ['b3'],
    ])
    expect(moveBlock(w, 'b1', -1)).toBe(w)
    const doubled = duplicateBlock(w, 'b2')
    expect(movesOf(doubled, 'b4')).toEqual(['pogo', 'plank', 'lunge'])
    expect(stationsOf(findBlock(doubled, 'b4')).map((s) => s.id)).toEqual(['s6', 's7', 's8'])
    expect(removeBlock(doubled, 'b2').sections[1]!.blocks.map((b) => b.id)).toEqual(['b4'])
  })

  it('have their numbers changed by form, and refuse another form’s', () => {
    const next = setBlock(w, 'b2', 'intervals', (b) => ({
      ...b,
      laps: mapGroups(b.laps, ['g2'], () => [{ work: 40, rest: 25 }]),
    }))
    expect(findBlock(next, 'b2')).toMatchObject({ laps: { by: { g2: [{ work: 40, rest: 25 }] } } })
    expect(codeOf(() => setBlock(w, 'b2', 'list', (b) => b))).toBe('invalid')
    expect(codeOf(() => setBlock(w, 'b2', 'intervals', (b) => ({ ...b, laps: { all: [] } })))).toBe('too-small')
    expect(codeOf(() => addBlock(w, 'p2', 'talk', 'b9'))).toBe('not-found')
  })

  it('can have a name and a film link, over https only', () => {
    expect(findBlock(setBlockWords(w, 'b2', { title: 'Round one' }), 'b2').title).toBe('Round one')
    expect(codeOf(() => setBlockWords(w, 'b2', { link: 'http://films.example' }))).toBe('bad-format')
  })
})

describe('sections', () => {
  it('are added with a block of a form, moved, duplicated and removed', () => {
    const next = addSection(w, { role: 'game', title: 'Over\nthe gap', form: 'intervals' }, 'p2')
    expect(next.sections.map((s) => s.title)).toEqual(['Warm-up', 'Main part', 'Over the gap', 'Cool-down'])
    expect(addSection(w, { role: 'brief', title: 'Hello' }, null).sections[0]!.title).toBe('Hello')
    expect(moveSection(next, 'p4', -1).sections.map((s) => s.id)).toEqual(['p1', 'p4', 'p2', 'p3'])
    expect(moveSection(w, 'p3', 1)).toBe(w)
    expect(duplicateSection(w, 'p2').sections.map((s) => s.id)).toEqual(['p1', 'p2', 'p4', 'p3'])
    expect(removeSection(w, 'p2').sections.map((s) => s.id)).toEqual(['p1', 'p3'])
  })

  it('keep games and cool-downs by default', () => {
    expect(w.sections.map(isKept)).toEqual([false, false, true])
    expect(setSection(w, 'p3', { keep: false }).sections.map(isKept)).toEqual([false, false, false])
    expect(codeOf(() => setSection(w, 'p3', { title: 'a\u0000' }))).toBe('bad-text')
  })
})

describe('groups', () => {
  it('are added with the next letter, doing what all do in a version they are ready for', () => {
    const next = addGroup(put(w, 'b2', 'side-plank'), [0], library)
    expect(next.groups.at(-1)).toMatchObject({ id: 'g3', letter: 'C', name: 'K', ages: [5, 6] })
    expect(valueFor(findStation(next, 's6').cells, 'g3').version).toBe('knee-side-plank')
    expect(valueFor(findStation(next, 's1').cells, 'g3')).toEqual(findStation(next, 's1').cells.all)
    const six = [0, 1, 2, 3].reduce((now) => addGroup(now, [3], library), w)
    expect(codeOf(() => addGroup(six, [3], library))).toBe('too-many')
  })

  it('are removed with all of their own values; the last one stays', () => {
    const own = setBlock(w, 'b2', 'intervals', (b) => ({ ...b, lapRest: { all: 60, by: { g2: 30 } } }))
    const next = removeGroup(own, 'g2')
    expect(JSON.stringify(next)).not.toContain('g2')
    expect(findBlock(next, 'b2')).toMatchObject({ lapRest: { all: 60 } })
    expect(codeOf(() => removeGroup(next, 'g1'))).toBe('too-small')
  })

  it('take the name and ages of their grades, until the teacher names them', () => {
    expect(setGroup(w, 'g1', { grades: [2, 3] }).groups[0]).toMatchObject({ name: '2–3', ages: [7, 9] })
    const named = setGroup(w, 'g1', { name: 'Terns' })
    expect(setGroup(named, 'g1', { grades: [2] }).groups[0]).toMatchObject({ name: 'Terns', grades: [2] })
    expect(codeOf(() => setGroup(w, 'g1', { grades: [] }))).toBe('too-small')
  })
})

it('details change field by field and keep the others', () => {
  const next = setDetails(w, { minutes: 25, aim: { builds: ['power'] }, home: { quiet: true } })
  expect(next).toMatchObject({
    title: 'Springs',
    minutes: 25,
    aim: { builds: ['power'], target: '' },
    home: { quiet: true, space: 'mat' },
  })
  expect(codeOf(() => setDetails(w, { minutes: 121 }))).toBe('too-large')
  expect(codeOf(() => setDetails(w, { title: '' }))).toBe('too-small')
})
