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

/** A teacher's sessions. */
export function workoutRoutes(router: Router, db: Knex, library: Library, deletions: Deletions): void {
  /** The document has been read; what the library must have is checked here. */
  const whole = (workout: Workout): Workout => {
    const problems = referenceProblems(workout, library)
    if (problems.length) throw new ServerError('invalid', problems)
    return workout
  }

  implement(router, 'listWorkouts', async ({ teacherId }) => ({ workouts: await listWorkouts(db, teacherId) }))

  implement(router, 'createWorkout', async ({ teacherId, body }) => {
    const document = whole(body.document)
    if ((await workouts.count(db, teacherId)) >= workoutRoom)
      throw tooMany('document', { atMost: workoutRoom, of: 'sessions' })
    const { original } = body
    if (original === undefined) return workouts.add(db, teacherId, randomUUID(), document)
    return db.transaction(async (trx) => {
      const added = await workouts.add(trx, teacherId, randomUUID(), document)
      await keepOriginal(trx, added.id, original)
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
  async function mustHaveRoom(teacherId: string, id: string): Promise<void> {
    if (!(await workouts.states.hasRoomForName(db, teacherId, id)))
      throw tooMany('name', { atMost: namedRoom, of: 'states' })
  }

  implement(router, 'keepVersion', async ({ teacherId, params, body }) => {
    const reason = body.name ? 'named' : 'edit'
    if (body.name) await mustHaveRoom(teacherId, params.id)
    if (!(await workouts.states.close(db, teacherId, params.id, { reason, name: body.name })))
      throw new ServerError('not-found')
    return {}
  })

  implement(router, 'readVersion', async ({ teacherId, params }) => {
    const version = await workouts.states.find(db, teacherId, params.id, params.version)
    if (!version) throw new ServerError('not-found')
    return version
  })

  implement(router, 'nameVersion', async ({ teacherId, params, body }) => {
    if (body.name) await mustHaveRoom(teacherId, params.id)
    const version = await workouts.states.name(db, teacherId, params.id, params.version, body.name)
    if (!version) throw new ServerError('not-found')
    return version
  })
}
