import { z } from 'zod'
import { readDocument, type DocumentKind } from '../documents/document.ts'
import { clampFigure } from '../figure/jointLimits.ts'
import { figureSchema, type Figure } from '../figure/schema.ts'
import { ProblemError, type Problem } from '../problem.ts'
import type { Library } from './library.ts'
import { moveSchema, type Move } from './schema.ts'

/** A teacher's own move, with the figures it does not take from the library. */
export const ownMoveSchema = z.strictObject({ move: moveSchema, figures: z.array(figureSchema).max(6) })
export interface OwnMove extends z.infer<typeof ownMoveSchema> {}

/** Ids of a teacher's own moves and figures begin so, and none of the library's ever will. */
export const isOwnId = (id: string): boolean => id.startsWith('own-')

export const movesFormat = 'esfuerzo.moves'
/** The most moves in one file, and of one teacher's own (ours). */
export const mostOwnMoves = 200

/** A file of moves, for a colleague or another school. */
export const movesFileSchema = z.strictObject({
  format: z.literal(movesFormat),
  version: z.literal(1),
  moves: z.array(ownMoveSchema).max(mostOwnMoves),
})

export interface MovesFile extends z.infer<typeof movesFileSchema> {}

/** A file of moves as a document. */
export const movesDocument: DocumentKind<MovesFile> = {
  format: movesFormat,
  version: 1,
  schema: movesFileSchema,
  migrations: {},
}

/** Moves as a file holds them. */
export const movesFile = (moves: readonly OwnMove[]): MovesFile => ({
  format: movesFormat,
  version: 1,
  moves: [...moves],
})

/** A library with a teacher's own moves beside its own; the library's are never replaced. */
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

/** What a move names that is not there: muscles, kit, figures, counters. */
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
      expected: 'an id that begins with own-',
      received: move.id,
    })
  figures.forEach((figure, i) => {
    if (!isOwnId(figure.id))
      problems.push({
        code: 'bad-format',
        path: [...at, 'figures', i, 'id'],
        expected: 'an id that begins with own-',
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

/** Moves that were read, and what had to be set right in their figures. */
export interface ReadMoves {
  moves: OwnMove[]
  /** Joints that bent further than a body does, each with its path. */
  clamped: Problem[]
}

/**
 * Reads a file of moves. All of it is right, or nothing is taken; a figure's impossible angles are set right and said.
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

/**
 * A copy of a move to be changed: its own id and name, the library's figure.
 *
 * @param id begins with `own-`
 */
export const copyOfMove = (move: Move, id: string, name: string): OwnMove => ({
  move: { ...move, id, name, synonyms: [] },
  figures: [],
})
