import type { Router } from 'express'
import type { Knex } from 'knex'
import { ServerError } from '../http/serverError.ts'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import { readTeacher } from '../accounts/store.ts'
import { exportFiles } from './exportFiles.ts'
import { zipFiles } from './zipFiles.ts'

/** All of a teacher's data, as a zip of open files. */
export function exportRoutes(router: Router, db: Knex): void {
  implement(router, 'exportAll', async ({ teacherId, res }) => {
    const teacher = await readTeacher(db, teacherId)
    if (!teacher) throw new ServerError('sign-in-needed')
    await noteEvent(db, teacherId, 'exported')
    res.attachment(`esfuerzo-${new Date().toISOString().slice(0, 10)}.zip`)
    res.type('application/zip')
    await zipFiles(exportFiles(db, teacher), res)
    return undefined
  })
}
