import type { Router } from 'express'
import type { Knex } from 'knex'
import { mostOwnMoves, ProblemError, readMoves, type Library } from '@esfuerzo/core'
import type { Deletions } from '../deletions/deletions.ts'
import { implement } from '../http/implement.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import { keepOwnMoves, listOwnMoves, removeOwnMove, usedMoves } from './store.ts'

/** How long an exercise counts as used lately, in milliseconds: half a school year. */
const lately = 26 * 7 * 24 * 60 * 60 * 1000

/** Saves by exercise id: `own-squat:3,own-hop:1`. */
const revisionsIn = (over = ''): Map<string, number> =>
  new Map(
    over
      .split(',')
      .filter(Boolean)
      .map((one) => one.split(':') as [string, string])
      .map(([id, revision]) => [id, Number(revision)]),
  )

/** A teacher's own exercises, and which she used lately. */
export function moveRoutes(router: Router, db: Knex, library: Library, deletions: Deletions): void {
  implement(router, 'listOwnMoves', ({ teacherId }) => listOwnMoves(db, teacherId))

  implement(router, 'usedMoves', async ({ teacherId }) => ({
    used: await usedMoves(db, teacherId, new Date(Date.now() - lately)),
  }))

  implement(router, 'keepOwnMoves', async ({ teacherId, query, body }) => {
    let moves
    try {
      // What the schema can't check: that muscles, equipment and figures exist, and that a body bends that way.
      moves = readMoves(body, library).moves
    } catch (error) {
      if (error instanceof ProblemError) throw new ServerError('invalid', error.problems)
      throw error
    }
    const kept = await keepOwnMoves(db, teacherId, moves, revisionsIn(query.over))
    if (kept === 'too-many') throw tooMany('moves', { atMost: mostOwnMoves, of: 'moves' })
    if (kept === 'conflict') throw new ServerError('conflict')
    return listOwnMoves(db, teacherId)
  })

  implement(router, 'removeOwnMove', async ({ teacherId, params }) => {
    if (!(await removeOwnMove(db, teacherId, params.id))) throw new ServerError('not-found')
    await deletions.note({ what: 'move', teacher: teacherId, id: params.id })
    return {}
  })
}
