import type { Router } from 'express'
import type { Knex } from 'knex'
import { runProblems } from '@esfuerzo/core/run'
import { isDatabaseAway, isStorageFull } from '../database.ts'
import type { Deletions } from '../deletions/deletions.ts'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import { LocalCounter, type Limits } from '../http/limits.ts'
import { ServerError } from '../http/serverError.ts'
import { wholeOutline } from '../publications/outline.ts'
import { resolveForRun } from '../publications/resolveToken.ts'
import { pupilOfKey } from '../pupils/pupilOfKey.ts'
import { addRun, listRuns, moveRun, readCameBack, removeRun, removeRuns } from './store.ts'

/** A run on its way in. */
export function runSendRoutes(router: Router, db: Knex, limits: Limits, secret: string): void {
  const byLink = new LocalCounter(limits.runs)
  const byHome = new LocalCounter(limits.runsOfHome)
  implement(router, 'sendRun', async ({ params, body, req }) => {
    const target = await resolveForRun(db, params.token, body.finishedAt)
    // One home may not use up what a whole class shares.
    const home = `${target.id} ${req.ip}`
    await byHome.count(home)
    await byLink.count(target.id)
    try {
      const outline = await wholeOutline(db, target.sha256, target.outline)
      const problems = runProblems(body, target.sha256, outline)
      if (problems.length) throw new ServerError('invalid', problems)
      // A key that opens nothing any more loses no run: it comes in as one of nobody's.
      const pupil = await pupilOfKey(db, target, req.get('pupil-key') ?? '', secret)
      if (!(await addRun(db, target.id, body, outline, { pupil }))) throw new ServerError('too-many-tries')
      return { id: body.id }
    } catch (error) {
      // What could not be kept is sent again, and takes no room from the rest of the class.
      if (isStorageFull(error) || isDatabaseAway(error))
        await Promise.all([byHome.refund(home), byLink.refund(target.id)])
      throw error
    }
  })
}

/** What came back, and taking it away again. */
export function runListRoutes(router: Router, db: Knex, deletions: Deletions): void {
  implement(router, 'listRuns', ({ teacherId, query }) => listRuns(db, teacherId, query.workout, query.before))

  implement(router, 'readCameBack', async ({ teacherId, params }) => {
    const times = await readCameBack(db, teacherId, params.id)
    if (!times) throw new ServerError('not-found')
    return { times }
  })

  implement(router, 'removeRun', async ({ teacherId, params: { id, run } }) => {
    if (!(await removeRun(db, teacherId, id, run))) throw new ServerError('not-found')
    await deletions.note({ what: 'run', teacher: teacherId, id: `${id}/${run}` })
    await noteEvent(db, teacherId, 'runs-deleted')
    return {}
  })

  implement(router, 'moveRun', async ({ teacherId, params: { id, run }, body: { pupil } }) => {
    if (!(await moveRun(db, teacherId, { publicationId: id, run, pupil }))) throw new ServerError('not-found')
    return {}
  })

  implement(router, 'removeRuns', async ({ teacherId, params: { id } }) => {
    if (!(await removeRuns(db, teacherId, id))) throw new ServerError('not-found')
    await deletions.note({ what: 'runs', teacher: teacherId, id })
    await noteEvent(db, teacherId, 'runs-deleted')
    return {}
  })
}
