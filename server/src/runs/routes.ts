import type { Router } from 'express'
import type { Knex } from 'knex'
import type { Problem, Publication, Run } from '@esfuerzo/core'
import { implement } from '../http/implement.ts'
import { Counter, type Limits } from '../http/limits.ts'
import { ServerError } from '../http/serverError.ts'
import { resolveForRun } from '../publications/resolveToken.ts'
import { readSnapshot } from '../publications/store.ts'
import { addRun, listRuns } from './store.ts'

/** What a run says that its publication does not have. */
export function runProblems(run: Run, sha256: string, publication: Publication): Problem[] {
  const problems: Problem[] = []
  if (run.publication !== sha256)
    problems.push({ code: 'invalid', path: ['publication'], expected: 'the session this link leads to' })
  if (!publication.lanes.some((l) => l.id === run.group)) {
    problems.push({
      code: 'unknown-group',
      path: ['group'],
      received: run.group,
      expected: publication.lanes.map((l) => l.id).join(', '),
    })
  }
  const blocks = new Map(publication.sections.flatMap((s) => s.blocks).map((b) => [b.id, b]))
  run.results.forEach((result, i) => {
    const block = blocks.get(result.block)
    if (!block || (result.station && !block.stations.some((s) => s.id === result.station))) {
      problems.push({
        code: 'not-found',
        path: ['results', i, block ? 'station' : 'block'],
        received: block ? result.station : result.block,
      })
    }
  })
  if (run.finishedAt < run.startedAt)
    problems.push({ code: 'too-small', path: ['finishedAt'], expected: 'not before it started' })
  return problems
}

/** A run on its way in. */
export function runSendRoutes(router: Router, db: Knex, limits: Limits): void {
  const byLink = new Counter(db, 'runs', limits.runs)
  implement(router, 'sendRun', async ({ params, body }) => {
    const target = await resolveForRun(db, params.token, body.finishedAt)
    await byLink.count(target.id)
    const publication = JSON.parse((await readSnapshot(db, target.sha256))!) as Publication
    const problems = runProblems(body, target.sha256, publication)
    if (problems.length) throw new ServerError('invalid', problems)
    await addRun(db, target.id, body)
    return { id: body.id }
  })
}

/** What came back. */
export function runListRoutes(router: Router, db: Knex): void {
  implement(router, 'listRuns', ({ teacherId, query }) => listRuns(db, teacherId, query.workout, query.before))
}
