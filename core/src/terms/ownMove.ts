import { z } from 'zod'
import type { DocumentKind } from '../documents/document.ts'
import { figureSchema } from '../figure/schema.ts'
import { moveSchema, type Move } from './move.ts'

/** A teacher's own exercise, with the figures it does not take from the library. */
export const ownMoveSchema = z.strictObject({ move: moveSchema, figures: z.array(figureSchema).max(6) })
export interface OwnMove extends z.infer<typeof ownMoveSchema> {}

/** Prefix of the ids of own exercises and figures; the library never uses it. */
export const isOwnId = (id: string): boolean => id.startsWith('own-')

export const movesFormat = 'esfuerzo.moves'
/** Most exercises in a file, and most own exercises of a teacher (ours). */
export const mostOwnMoves = 200

/** A file of exercises, for a colleague or another school. */
export const movesFileSchema = z.strictObject({
  format: z.literal(movesFormat),
  version: z.literal(1),
  moves: z.array(ownMoveSchema).max(mostOwnMoves),
})

export interface MovesFile extends z.infer<typeof movesFileSchema> {}

/** A file of exercises as a document. */
export const movesDocument: DocumentKind<MovesFile> = {
  format: movesFormat,
  version: 1,
  schema: movesFileSchema,
  migrations: {},
}

/** Exercises as a file holds them. */
export const movesFile = (moves: readonly OwnMove[]): MovesFile => ({
  format: movesFormat,
  version: 1,
  moves: [...moves],
})

/**
 * A copy of an exercise to be changed: its own id and name, the library's figure.
 *
 * @param id starts with `own-`
 */
export const copyOfMove = (move: Move, id: string, name: string): OwnMove => ({
  move: { ...move, id, name, synonyms: [] },
  figures: [],
})
