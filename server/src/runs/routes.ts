import type { Router } from 'express'
import type { Knex } from 'knex'
import { runProblems } from '@esfuerzo/core/run'
import { isDatabaseAway, isStorageFull } from '../base/database.ts'
import type { Deletions } from '../deletions/deletions.ts'
import { noteEvent } from '../events/store.ts'
import type { Gone } from '../gone/gone.ts'
import { networkOfRequest } from '../http/address.ts'
import { implement } from '../http/implement.ts'
import { LocalCounter, type Limits } from '../http/limits.ts'
import { ServerError } from '../http/serverError.ts'
import { pupilOfKey } from '../pupils/pupilOfKey.ts'
import type { ResultWriter } from '../results/resultWriter.ts'
import { readCameBack } from './cameBack.ts'
import { runLinks } from './runLinks.ts'
import { addRun, listRuns, moveRun, removeRun, removeRuns } from './store.ts'

export interface RunSendParts {
  db: Knex
  limits: Limits
  secret: string
  gone: Gone
  resultWriter: ResultWriter
}

/** An incoming run. */
export function runSendRoutes(router: Router, { db, limits, secret, gone, resultWriter }: RunSendParts): void {
  const linkOf = runLinks(db, gone)
  const byLink = new LocalCounter(limits.runs)
  const byNetwork = new LocalCounter(limits.runsOfNetwork)
  const byDay = new LocalCounter(limits.runsOfDay)
  implement(router, 'sendRun', async ({ params, body, req }) => {
    const link = await linkOf(params.token)
    // One network must not use up what a whole class shares.
    const from = `${link.id} ${networkOfRequest(req)}`
    await byNetwork.count(from)
    await byDay.count(from)
    await byLink.count(link.id)
    try {
      const problems = runProblems(body, link.sha256, link.outline)
      if (problems.length) throw new ServerError('invalid', problems)
      // A key that no longer works loses no run: it arrives as nobody's.
      const pupil = await pupilOfKey(db, link, req.get('pupil-key') ?? '', secret)
      await addRun(db, link, body, pupil)
      await resultWriter.follow({ publicationId: link.id, id: body.id, run: body, outline: link.outline })
      return { id: body.id }
    } catch (error) {
      // A run that could not be stored is sent again, and takes no room from the rest of the class.
      if (isStorageFull(error) || isDatabaseAway(error))
        await Promise.all([byNetwork.refund(from), byDay.refund(from), byLink.refund(link.id)])
      throw error
    }
  })
}

/** Results from home, and deleting them. */
export function runListRoutes(router: Router, db: Knex, deletions: Deletions): void {
  implement(router, 'listRuns', ({ teacherId, query }) => listRuns(db, teacherId, query.workout, query.before))

  implement(router, 'readCameBack', async ({ teacherId, params, query }) => {
    const told = await readCameBack(db, { teacherId, sessionId: params.id, classId: query.class })
    if (!told) throw new ServerError('not-found')
    return told
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
