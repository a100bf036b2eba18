import type { Router } from 'express'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { referenceProblems, type Library, type Workout } from '@esfuerzo/core'
import type { Deletions } from '../deletions/deletions.ts'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import { keepOriginal } from '../originals/store.ts'
import { namedRoom } from '../documents/keptStates.ts'
import { deleteWorkout, listBin, listWorkouts, workoutRoom, workouts } from './store.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'

/** A teacher's sessions. */
export function workoutRoutes(router: Router, db: Knex, library: Library, deletions: Deletions): void {
  /** The document has been read; what the library must have is checked here. */
  const whole = (workout: Workout): Workout => {
    const problems = referenceProblems(workout, library)
    if (problems.length) throw new ServerError('invalid', problems)
    return workout
  }

  implement(router, 'listWorkouts', async ({ teacherId }) => ({ workouts: await listWorkouts(db, teacherId) }))

  implement(router, 'createWorkout', ({ teacherId, body }) => {
    const document = whole(body.document)
    const { original } = body
    return db.transaction(async (trx) => {
      await oneAtATime(trx, teacherId)
      if ((await workouts.count(trx, teacherId)) >= workoutRoom)
        throw tooMany('document', { atMost: workoutRoom, of: 'sessions' })
      const added = await workouts.add(trx, teacherId, randomUUID(), document)
      if (original !== undefined) await keepOriginal(trx, teacherId, added.id, original)
      return added
    })
  })

  implement(router, 'readWorkout', async ({ teacherId, params }) => {
    const found = await workouts.find(db, teacherId, params.id)
    if (!found) throw new ServerError('not-found')
    return found
  })

  implement(router, 'saveWorkout', async ({ teacherId, params, body }) => {
    const result = await workouts.save(db, teacherId, params.id, body.revision, whole(body.document))
    if (!result) throw new ServerError('not-found')
    if (result === 'conflict') throw new ServerError('conflict')
    return result
  })

  implement(router, 'removeWorkout', async ({ teacherId, params }) => {
    if (!(await workouts.remove(db, teacherId, params.id))) throw new ServerError('not-found')
    return {}
  })

  implement(router, 'restoreWorkout', async ({ teacherId, params }) => {
    if (!(await workouts.restore(db, teacherId, params.id))) throw new ServerError('not-found')
    return {}
  })

  implement(router, 'listBin', async ({ teacherId }) => ({ workouts: await listBin(db, teacherId) }))

  implement(router, 'deleteWorkout', async ({ teacherId, params }) => {
    if (!(await deleteWorkout(db, teacherId, params.id))) throw new ServerError('not-found')
    await deletions.note({ what: 'session', teacher: teacherId, id: params.id })
    await noteEvent(db, teacherId, 'session-deleted')
    return {}
  })

  implement(router, 'listVersions', async ({ teacherId, params }) => {
    const versions = await workouts.states.list(db, teacherId, params.id)
    if (!versions.length) throw new ServerError('not-found')
    return { versions }
  })

  /** @throws {ServerError} `invalid` where a session has as many named states as it may have */
  async function mustHaveRoom(trx: Knex.Transaction, teacherId: string, id: string): Promise<void> {
    await oneAtATime(trx, teacherId)
    if (!(await workouts.states.hasRoomForName(trx, teacherId, id)))
      throw tooMany('name', { atMost: namedRoom, of: 'states' })
  }

  implement(router, 'keepVersion', ({ teacherId, params, body }) =>
    db.transaction(async (trx) => {
      const reason = body.name ? 'named' : 'edit'
      if (body.name) await mustHaveRoom(trx, teacherId, params.id)
      if (!(await workouts.states.close(trx, teacherId, params.id, { reason, name: body.name })))
        throw new ServerError('not-found')
      return {}
    }),
  )

  implement(router, 'readVersion', async ({ teacherId, params }) => {
    const version = await workouts.states.find(db, teacherId, params.id, params.version)
    if (!version) throw new ServerError('not-found')
    return version
  })

  implement(router, 'nameVersion', ({ teacherId, params, body }) =>
    db.transaction(async (trx) => {
      if (body.name) await mustHaveRoom(trx, teacherId, params.id)
      const version = await workouts.states.name(trx, teacherId, params.id, params.version, body.name)
      if (!version) throw new ServerError('not-found')
      return version
    }),
  )
}
