import { z } from 'zod'
import { idSchema, mostOwnMoves, movesDocument, ownMoveSchema } from '@esfuerzo/core'
import { documentField } from './documentField.ts'
import { endpoint, none } from './endpoint.ts'
import { momentSchema } from './fields.ts'

const moveParams = z.strictObject({ id: idSchema })

/** When an exercise was last in a session that was sent home. */
export const usedMoveSchema = z.strictObject({ move: idSchema, last: momentSchema })
export type UsedMove = z.infer<typeof usedMoveSchema>

/** Exercises with their number of saves, by id. */
const ownMoves = z.strictObject({
  moves: z.array(ownMoveSchema).max(mostOwnMoves),
  revisions: z.record(idSchema, z.int()),
})

/** A teacher's own exercises, and which exercises she used lately. */
export const moveEndpoints = {
  listOwnMoves: endpoint({
    method: 'GET',
    path: '/api/moves',
    access: 'teacher',
    answer: ownMoves,
  }),
  usedMoves: endpoint({
    method: 'GET',
    path: '/api/moves/used',
    access: 'teacher',
    answer: z.strictObject({ used: z.array(usedMoveSchema) }),
  }),
  /**
   * Saves all of the file's exercises or none; an exercise with an existing id replaces it. `over` names the revision each change started
   * from: if another was saved since, the answer is a conflict and nothing changes.
   */
  keepOwnMoves: endpoint({
    method: 'POST',
    path: '/api/moves',
    access: 'teacher',
    query: z.strictObject({
      over: z
        .string()
        .regex(/^[\w.-]+:\d{1,9}(?:,[\w.-]+:\d{1,9})*$/)
        .optional(),
    }),
    body: documentField(movesDocument),
    answer: ownMoves,
  }),
  removeOwnMove: endpoint({
    method: 'DELETE',
    path: '/api/moves/:id',
    access: 'teacher',
    params: moveParams,
    answer: none,
  }),
}
