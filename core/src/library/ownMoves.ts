import { ProblemError, type Problem } from '../base/problem.ts'
import { readDocument } from '../documents/document.ts'
import { clampFigure } from '../figure/jointLimits.ts'
import type { Figure } from '../figure/schema.ts'
import { isOwnId, movesDocument, type OwnMove } from '../terms/ownMove.ts'
import type { Library } from './library.ts'

/** A library with a teacher's own exercises; the library's are never replaced. */
export function withOwnMoves(library: Library, own: readonly OwnMove[]): Library {
  if (own.length === 0) return library
  const moves = new Map(library.moves)
  const figures = new Map(library.figures)
  for (const { move, figures: drawn } of own) {
    if (!library.moves.has(move.id)) moves.set(move.id, move)
    for (const figure of drawn) if (!library.figures.has(figure.id)) figures.set(figure.id, figure)
  }
  return { ...library, moves, figures }
}

/** Missing references of an exercise: muscles, equipment, figures, counter-exercises. */
export function ownMoveProblems({ move, figures }: OwnMove, library: Library, at: Problem['path'] = []): Problem[] {
  const problems: Problem[] = []
  const drawn = new Set([...library.figures.keys(), ...figures.map((f) => f.id)])
  const look = (id: string, known: { has: (id: string) => boolean }, ...path: Problem['path']) => {
    if (!known.has(id)) problems.push({ code: 'not-found', path: [...at, 'move', ...path], received: id })
  }
  if (!isOwnId(move.id))
    problems.push({
      code: 'bad-format',
      path: [...at, 'move', 'id'],
      expected: { rule: 'ownId' },
      received: move.id,
    })
  figures.forEach((figure, i) => {
    if (!isOwnId(figure.id))
      problems.push({
        code: 'bad-format',
        path: [...at, 'figures', i, 'id'],
        expected: { rule: 'ownId' },
        received: figure.id,
      })
  })
  for (const part of ['main', 'also'] as const)
    move.muscles[part].forEach((id, i) => look(id, library.muscles, 'muscles', part, i))
  move.stretches?.forEach((id, i) => look(id, library.muscles, 'stretches', i))
  move.kit.forEach((need, i) => look(need.id, library.kit, 'kit', i))
  look(move.figure, drawn, 'figure')
  move.versions.forEach((version, i) => {
    version.kit?.forEach((need, k) => look(need.id, library.kit, 'versions', i, 'kit', k))
    if (version.figure) look(version.figure, drawn, 'versions', i, 'figure')
  })
  return problems
}

/** Exercises that were read, and what was corrected in their figures. */
export interface ReadMoves {
  moves: OwnMove[]
  /** Joints bent further than a body can bend, each with its path. */
  clamped: Problem[]
}

/**
 * Reads a file of exercises. Either all of it is valid, or nothing is read; impossible angles of a figure are corrected and reported.
 *
 * @throws {ProblemError} naming every mistake with its path
 */
export function readMoves(data: unknown, library: Library): ReadMoves {
  const { moves } = readDocument(movesDocument, data)
  const problems = moves.flatMap((own, i) => ownMoveProblems(own, library, ['moves', i]))
  moves.forEach(({ move }, i) => {
    if (moves.findIndex((other) => other.move.id === move.id) < i)
      problems.push({ code: 'duplicate-id', path: ['moves', i, 'move', 'id'], received: move.id })
  })
  if (problems.length) throw new ProblemError(problems)
  const clamped: Problem[] = []
  const right = moves.map((own, i): OwnMove => {
    const figures = own.figures.map((figure, k): Figure => {
      const { figure: held, problems: bent } = clampFigure(figure)
      clamped.push(...bent.map((p) => ({ ...p, path: ['moves', i, 'figures', k, ...p.path] })))
      return held
    })
    return { move: own.move, figures }
  })
  return { moves: right, clamped }
}
