import type { Router } from 'express'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import type { Deletions } from '../deletions/deletions.ts'
import { implement } from '../http/implement.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import { keepPart, listShelf, removePart, renamePart, shelfRoom } from './store.ts'

/** Sections and blocks a teacher saved for reuse. */
export function shelfRoutes(router: Router, db: Knex, deletions: Deletions): void {
  implement(router, 'listShelf', async ({ teacherId }) => ({ parts: await listShelf(db, teacherId) }))

  implement(router, 'keepPart', async ({ teacherId, body }) => {
    const kept = await keepPart(db, teacherId, randomUUID(), body.name, body.part)
    if (!kept) throw tooMany('part', { atMost: shelfRoom, of: 'pieces' })
    return kept
  })

  implement(router, 'renamePart', async ({ teacherId, params, body }) => {
    const renamed = await renamePart(db, teacherId, params.id, body.name)
    if (!renamed) throw new ServerError('not-found')
    return renamed
  })

  implement(router, 'removePart', async ({ teacherId, params }) => {
    if (!(await removePart(db, teacherId, params.id))) throw new ServerError('not-found')
    await deletions.note({ what: 'part', teacher: teacherId, id: params.id })
    return {}
  })
}
