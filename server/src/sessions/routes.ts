import type { Router } from 'express'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { referenceProblems, type Library, type Session } from '@esfuerzo/core'
import type { Deletions } from '../deletions/deletions.ts'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import { keepOriginal } from '../originals/store.ts'
import { namedRoom } from '../documents/keptRevisions.ts'
import { deleteSession, listBin, listSessions, sessionRoom, sessions } from './store.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'

/** A teacher's sessions. */
export function sessionRoutes(router: Router, db: Knex, library: Library, deletions: Deletions): void {
  /** The document has been read; the library references are checked here. */
  const whole = (session: Session): Session => {
    const problems = referenceProblems(session, library)
    if (problems.length) throw new ServerError('invalid', problems)
    return session
  }

  implement(router, 'listSessions', async ({ teacherId }) => ({ workouts: await listSessions(db, teacherId) }))

  implement(router, 'createSession', ({ teacherId, body }) => {
    const document = whole(body.document)
    const { original } = body
    return db.transaction(async (trx) => {
      await oneAtATime(trx, teacherId)
      if ((await sessions.count(trx, teacherId)) >= sessionRoom)
        throw tooMany('document', { atMost: sessionRoom, of: 'sessions' })
      const added = await sessions.add(trx, teacherId, randomUUID(), document)
      if (original !== undefined) await keepOriginal(trx, teacherId, added.id, original)
      return added
    })
  })

  implement(router, 'readSession', async ({ teacherId, params }) => {
    const found = await sessions.find(db, teacherId, params.id)
    if (!found) throw new ServerError('not-found')
    return found
  })

  implement(router, 'saveSession', async ({ teacherId, params, body }) => {
    const result = await sessions.save(db, teacherId, params.id, body.revision, whole(body.document))
    if (!result) throw new ServerError('not-found')
    if (result === 'conflict') throw new ServerError('conflict')
    return result
  })

  implement(router, 'removeSession', async ({ teacherId, params }) => {
    if (!(await sessions.remove(db, teacherId, params.id))) throw new ServerError('not-found')
    return {}
  })

  implement(router, 'restoreSession', async ({ teacherId, params }) => {
    if (!(await sessions.restore(db, teacherId, params.id))) throw new ServerError('not-found')
    return {}
  })

  implement(router, 'listBin', async ({ teacherId }) => ({ workouts: await listBin(db, teacherId) }))

  implement(router, 'deleteSession', async ({ teacherId, params }) => {
    if (!(await deleteSession(db, teacherId, params.id))) throw new ServerError('not-found')
    await deletions.note({ what: 'session', teacher: teacherId, id: params.id })
    await noteEvent(db, teacherId, 'session-deleted')
    return {}
  })

  implement(router, 'listRevisions', async ({ teacherId, params }) => {
    const versions = await sessions.revisions.list(db, teacherId, params.id)
    if (!versions.length) throw new ServerError('not-found')
    return { versions }
  })

  /** @throws {ServerError} `invalid` if a session has as many named revisions as allowed */
  async function mustHaveRoom(trx: Knex.Transaction, teacherId: string, id: string): Promise<void> {
    await oneAtATime(trx, teacherId)
    if (!(await sessions.revisions.hasRoomForName(trx, teacherId, id)))
      throw tooMany('name', { atMost: namedRoom, of: 'states' })
  }

  implement(router, 'keepRevision', ({ teacherId, params, body }) =>
    db.transaction(async (trx) => {
      const reason = body.name ? 'named' : 'edit'
      if (body.name) await mustHaveRoom(trx, teacherId, params.id)
      if (!(await sessions.revisions.close(trx, teacherId, params.id, { reason, name: body.name })))
        throw new ServerError('not-found')
      return {}
    }),
  )

  implement(router, 'readRevision', async ({ teacherId, params }) => {
    const version = await sessions.revisions.find(db, teacherId, params.id, params.version)
    if (!version) throw new ServerError('not-found')
    return version
  })

  implement(router, 'nameRevision', ({ teacherId, params, body }) =>
    db.transaction(async (trx) => {
      if (body.name) await mustHaveRoom(trx, teacherId, params.id)
      const version = await sessions.revisions.name(trx, teacherId, params.id, params.version, body.name)
      if (!version) throw new ServerError('not-found')
      return version
    }),
  )
}
