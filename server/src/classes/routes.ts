import type { Router } from 'express'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import type { Deletions } from '../deletions/deletions.ts'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import type { JobPool } from '../workers/jobPool.ts'
import { paceOfClass } from './pace.ts'
import { addClass, classRoom, isOwnClass, listClasses, removeClass, restoreClass, saveClass } from './store.ts'

/** The classes a teacher sends sessions to. */
export function classRoutes(router: Router, db: Knex, deletions: Deletions, pool: JobPool): void {
  implement(router, 'listClasses', ({ teacherId }) => listClasses(db, teacherId))

  implement(router, 'addClass', async ({ teacherId, body }) => {
    const added = await addClass(db, teacherId, randomUUID(), body)
    if (!added) throw tooMany('name', { atMost: classRoom, of: 'classes' })
    return added
  })

  implement(router, 'saveClass', async ({ teacherId, params, body }) => {
    const saved = await saveClass(db, teacherId, params.id, body)
    if (!saved) throw new ServerError('not-found')
    return saved
  })

  implement(router, 'readPace', async ({ teacherId, params: { id } }) => {
    if (!(await isOwnClass(db, teacherId, id))) throw new ServerError('not-found')
    return { pace: (await paceOfClass(db, pool, teacherId, id)) ?? null }
  })

  implement(router, 'removeClass', async ({ teacherId, params: { id } }) => {
    if (!(await removeClass(db, teacherId, id))) throw new ServerError('not-found')
    await deletions.note({ what: 'class-removed', teacher: teacherId, id })
    await noteEvent(db, teacherId, 'class-removed')
    return {}
  })

  implement(router, 'restoreClass', async ({ teacherId, params: { id } }) => {
    const back = await restoreClass(db, teacherId, id)
    if (!back) throw new ServerError('not-found')
    await deletions.note({ what: 'class-back', teacher: teacherId, id })
    return back
  })
}
