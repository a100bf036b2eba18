import type { Router } from 'express'
import type { Knex } from 'knex'
import type { Deletions } from '../deletions/deletions.ts'
import { implement } from '../http/implement.ts'
import { ServerError } from '../http/serverError.ts'
import { readOriginal, removeOriginal } from './store.ts'

/** The text a session was imported from, to be looked up. */
export function originalRoutes(router: Router, db: Knex, deletions: Deletions): void {
  implement(router, 'readOriginal', async ({ teacherId, params }) => {
    const original = await readOriginal(db, teacherId, params.id)
    if (original === undefined) throw new ServerError('not-found')
    return { original }
  })

  implement(router, 'removeOriginal', async ({ teacherId, params }) => {
    if (!(await removeOriginal(db, teacherId, params.id))) throw new ServerError('not-found')
    await deletions.note({ what: 'original', teacher: teacherId, id: params.id })
    return {}
  })
}
