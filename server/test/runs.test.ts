import { afterAll, beforeAll, expect, it } from 'vitest'
import { randomUUID } from 'node:crypto'
import { type Run } from '@esfuerzo/core/run'
import { readDeletions } from '../src/deletions/deletions.ts'
import { repeatDeletions } from '../src/backup/repeatDeletions.ts'
import { lateDays } from '../src/runs/store.ts'
import { runOf, sentSession, testServer, type TestServer } from './support/testServer.ts'

let server: TestServer
beforeAll(async () => void (server = await testServer()))
afterAll(() => server.close())

const day = 24 * 60 * 60 * 1000
const ago = (days: number) => new Date(Date.now() - days * day)
const times = (days: number) => {
  const finishedAt = ago(days).toISOString()
  return { startedAt: ago(days + 0.01).toISOString(), finishedAt }
}

it('a late run finished before its link ended is accepted for fourteen days, and none after misuse', async () => {
  const agent = await server.teacher('late@island.example')
  const { publication } = await sentSession(agent)
  const send = (daysAgo: number) =>
    server
      .browser()
      .post(`/api/go/${publication.token}/runs`)
      .send(runOf(publication, times(daysAgo)))
  const endedAgo = (days: number) => server.db('publications').update({ ends_at: ago(days) })
  await endedAgo(1)
  await send(2).expect(200)
  await send(0.5).expect(410)
  await endedAgo(lateDays - 0.1)
  await send(lateDays + 1).expect(200)
  await endedAgo(lateDays + 0.1)
  await send(lateDays + 1).expect(410)

  // Ended by hand: the same, until it is marked as misused.
  await endedAgo(-7)
  await agent.post(`/api/publications/${publication.id}/end`).send({}).expect(200)
  await send(1).expect(200)
  await agent.post(`/api/publications/${publication.id}/end`).send({ misused: true }).expect(200)
  await send(1).expect(410)
  await server.browser().get(`/api/go/${publication.token}`).expect(410)
})

it('lists runs page by page, each once, with the total', async () => {
  const agent = await server.teacher('pages@island.example')
  const { publication, workoutId: sessionId } = await sentSession(agent)
  const ids = Array.from({ length: 55 }, () => randomUUID())
  for (const id of ids)
    await server.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication, { id })).expect(200)
  // Many arrived at the same moment.
  await server
    .db('runs')
    .whereIn('id', ids.slice(0, 40))
    .update({ received_at: ago(1) })
  const seen: string[] = []
  let before: string | null = ''
  let pages = 0
  while (before !== null) {
    const { body } = await agent.get(
      `/api/runs?workout=${sessionId}${before && `&before=${encodeURIComponent(before)}`}`,
    )
    expect(body.total).toBe(55)
    seen.push(...body.runs.map((r: { run: { id: string } }) => r.run.id))
    before = body.next
    pages++
  }
  expect(pages).toBe(3)
  expect(seen.sort()).toEqual(ids.sort())
  await agent.get('/api/runs?before=yesterday').expect(400)
})

it('accepts a run of the previous version, and lists it as this one', async () => {
  const agent = await server.teacher('before@island.example')
  const { publication } = await sentSession(agent)
  const first = { ...runOf(publication), version: 1 }
  await server.browser().post(`/api/go/${publication.token}/runs`).send(first).expect(200)
  const { body } = await agent.get('/api/runs').expect(200)
  expect(body.runs[0].run).toEqual({ ...first, version: 2 })
  const newer = { ...runOf(publication), version: 4 }
  const refused = await server.browser().post(`/api/go/${publication.token}/runs`).send(newer).expect(409)
  expect(refused.body).toMatchObject({
    code: 'newer-document',
    problems: [{ code: 'newer-version', path: ['version'] }],
  })
})

it('deletes one run or all of a link permanently, and again after a restore', async () => {
  const agent = await server.teacher('takes@island.example')
  const { publication, workoutId: sessionId } = await sentSession(agent)
  const runs = Array.from({ length: 4 }, () => runOf(publication))
  const send = (run: Run) => server.browser().post(`/api/go/${publication.token}/runs`).send(run).expect(200)
  for (const run of runs) await send(run)
  const path = `/api/publications/${publication.id}/runs`
  const left = async () => (await agent.get(`/api/runs?workout=${sessionId}`)).body.total as number
  await agent.delete(`${path}/${runs[0]!.id}`).expect(200)
  await agent.delete(`${path}/${runs[0]!.id}`).expect(404)
  expect(await left()).toBe(3)
  // As in an earlier backup.
  await send(runs[0]!)
  const noted = (await readDeletions(server.deletionsFile)).deletions.filter((d) => d.what === 'run')
  expect((await repeatDeletions(server.db, noted)).again).toBe(1)
  expect(await left()).toBe(3)
  await agent.delete(path).expect(200)
  await agent.delete(path).expect(404)
  expect(await left()).toBe(0)
  await send(runs[1]!)
  const all = (await readDeletions(server.deletionsFile)).deletions.filter((d) => d.what === 'runs')
  expect((await repeatDeletions(server.db, all)).again).toBe(1)
})
