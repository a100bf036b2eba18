import { describe, expect, it } from 'vitest'
import { type ProblemError } from '@esfuerzo/core'
import {
  addStation,
  carryMoves,
  copyOfMove,
  libraryFor,
  newSession,
  readMoves,
  readSession,
  referenceProblems,
  removeStation,
  stationsOf,
  timeline,
  withOwnMoves,
  type OwnMove,
} from '@esfuerzo/core'
import { parse, print } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import { library } from './sessions.ts'

const squat = (): OwnMove => {
  const own = copyOfMove(library.moves.get('squat')!, 'own-limpet', 'Limpet squat')
  const figure = { ...library.figures.get('squat')!, id: 'own-limpet-figure' }
  return { move: { ...own.move, figure: figure.id }, figures: [figure] }
}
const hers = withOwnMoves(library, [squat()])
const cells = { all: { move: 'own-limpet', version: 'squat', dose: { unit: 'reps' as const, amount: 8 } } }
const session = () => addStation(newSession('x', [[4]], 20, library.version), 'b1', cells)

describe('a session with a teacher’s own exercise', () => {
  it('carries it with its figure, once, and drops it with the last row', () => {
    const carried = carryMoves(session(), hers)
    expect(carried.moves).toEqual([squat()])
    expect(carryMoves(carried, hers)).toBe(carried)
    const row = stationsOf(carried.sections[0]!.blocks[0]!)[0]!
    expect(carryMoves(removeStation(carried, row.id), hers)).not.toHaveProperty('moves')
    expect(carryMoves(newSession('x', [[4]], 20, 1), hers)).not.toHaveProperty('moves')
  })

  it('is complete without her collection: read, timed and sent', () => {
    const carried = readSession(JSON.parse(JSON.stringify(carryMoves(session(), hers))))
    expect(referenceProblems(carried, library)).toEqual([])
    const steps = timeline(carried, 'g1', library)
    expect(steps.some((s) => s.move === 'own-limpet')).toBe(true)
    const sent = publish(carried, library)
    expect(sent.moves.map((m) => m.name)).toEqual(['Limpet squat'])
    expect(sent.figures.map((f) => f.id)).toContain('own-limpet-figure')
    expect(referenceProblems(session(), library).map((p) => p.code)).toEqual(['unknown-move'])
  })

  it('keeps the exercise as it was inserted, whatever becomes of it later', () => {
    const carried = carryMoves(session(), hers)
    const changed = squat()
    changed.move.name = 'Another name'
    expect(carryMoves(carried, withOwnMoves(library, [changed])).moves![0]!.move.name).toBe('Limpet squat')
  })

  it('writes it by name in whiteboard text, and reads it back', () => {
    const text = print(session(), hers)
    expect(text).toContain('Limpet squat')
    const { workout, problems } = parse(text, hers)
    expect(problems).toEqual([])
    expect(stationsOf(workout.sections[0]!.blocks[0]!)[0]!.cells.all.move).toBe('own-limpet')
    // A library that does not have it gets it by its name.
    const theirs = parse(text, library)
    expect([theirs.problems, theirs.workout.moves?.map(({ move }) => move.name)]).toEqual([[], ['Limpet squat']])
  })

  it('never replaces one of ours', () => {
    const cuckoo = { ...squat(), move: { ...squat().move, id: 'squat', name: 'Cuckoo' } }
    expect(withOwnMoves(library, [cuckoo]).moves.get('squat')!.name).toBe('Squat')
    expect(libraryFor({ moves: [] }, library)).toBe(library)
  })
})

describe('a file of exercises', () => {
  const file = (...moves: unknown[]) => ({ format: 'esfuerzo.moves', version: 1, moves })
  const problemsOf = (data: unknown) => {
    try {
      readMoves(data, library)
    } catch (error) {
      return (error as ProblemError).problems.map((p) => `${p.code} ${p.path.join('.')}`)
    }
    return []
  }

  it('is read back as it was written', () => {
    expect(readMoves(JSON.parse(JSON.stringify(file(squat()))), library)).toEqual({ moves: [squat()], clamped: [] })
  })

  it('with mistakes is refused, naming each', () => {
    const wrong = squat()
    wrong.move.id = 'squat'
    wrong.move.kit = [{ id: 'trampoline' }]
    wrong.move.stretches = ['gills']
    expect(problemsOf(file(squat(), wrong, squat()))).toEqual([
      'bad-format moves.1.move.id',
      'not-found moves.1.move.stretches.0',
      'not-found moves.1.move.kit.0',
      'duplicate-id moves.2.move.id',
    ])
    expect(problemsOf(file({ move: { ...squat().move, cues: [], colour: 'red' }, figures: [] })).sort()).toEqual([
      'too-small moves.0.move.cues',
      'unknown-key moves.0.move.colour',
    ])
    expect(problemsOf({ moves: 3 }).length).toBeGreaterThan(0)
  })

  it('with impossible angles is corrected, and reports where', () => {
    const bent = squat()
    bent.figures[0] = { ...bent.figures[0]!, poses: [{ ...bent.figures[0]!.poses[0]!, legR: [0, 90] }] }
    const { moves, clamped } = readMoves(file(bent), library)
    expect(clamped).toMatchObject([{ code: 'impossible-angle', path: ['moves', 0, 'figures', 0, 'poses', 0, 'legR'] }])
    expect(moves[0]!.figures[0]!.poses[0]!.legR).toEqual([0, 10])
  })
})
