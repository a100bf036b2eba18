import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { eventKinds, mostEvents, type LoggedEvent } from '@esfuerzo/contract'
import { defaultLimits } from '../src/http/limits.ts'
import { eventDays, listEvents, noteEvent, noteOnceAnHour } from '../src/events/store.ts'
import { cleanUp } from '../src/cleanup/cleanUp.ts'
import { exportOf, sentSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

let server: TestServer
let own: Agent
beforeAll(async () => {
  server = await testServer({ ...defaultLimits, guard: { points: 3, seconds: 60 } })
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

const seen = async (agent: Agent) => (await agent.get('/api/events').expect(200)).body.events as LoggedEvent[]
const kinds = async (agent: Agent) => (await seen(agent)).map((e) => e.kind)

describe('the events of an account', () => {
  it('are visible to its teacher, the latest first, and to nobody else', async () => {
    const { workoutId: sessionId, publication } = await sentSession(own)
    await own.post(`/api/publications/${publication.id}/end`).send({ misused: true }).expect(200)
    await own.post(`/api/workouts/${sessionId}/copies`).send({}).expect(200)
    const log = await seen(own)
    expect(log.map((e) => [e.kind, e.title])).toEqual([
      ['copy-sent', 'Springs'],
      ['link-misused', 'Springs'],
      ['handed-out', 'Springs'],
      ['signed-in', undefined],
    ])
    expect(Date.now() - Date.parse(log[0]!.at)).toBeLessThan(60_000)
    const other = await server.teacher('other@island.example')
    expect(await kinds(other)).toEqual(['signed-in'])
    const taken = JSON.parse((await exportOf(own))['events.json']!) as { kind: string }[]
    expect(taken.map((e) => e.kind)).toEqual(['exported', ...log.map((e) => e.kind)])
  })

  it('name no deleted session', async () => {
    const { workoutId: sessionId } = await sentSession(own)
    await own.delete(`/api/workouts/${sessionId}`).expect(200)
    await own.delete(`/api/bin/${sessionId}`).expect(200)
    const [deleted, out] = await seen(own)
    expect([deleted, out]).toMatchObject([{ kind: 'session-deleted' }, { kind: 'handed-out' }])
    expect(out).not.toHaveProperty('title')
  })

  it('report many tried passwords, once an hour however many', async () => {
    const stranger = server.browser()
    for (let i = 0; i < 6; i++)
      await stranger.post('/api/session').send({ email: 'own@island.example', password: `wrong ${i}` })
    expect((await kinds(own)).filter((k) => k === 'many-wrong-passwords')).toHaveLength(1)
    await server.db('events').update({ at: server.db.raw("at - interval '2 hours'") as unknown as Date })
    const [{ id }] = (await server.db('teachers').where({ email: 'own@island.example' })) as [{ id: string }]
    await noteOnceAnHour(server.db, id, 'many-wrong-passwords')
    expect((await kinds(own)).filter((k) => k === 'many-wrong-passwords')).toHaveLength(2)
  })

  it('go back half a year and show a hundred', async () => {
    const [{ id }] = (await server.db('teachers').where({ email: 'other@island.example' })) as [{ id: string }]
    for (const kind of eventKinds) await noteEvent(server.db, id, kind)
    await server.db.raw(
      "insert into events (teacher_id, kind, at) select ?, 'exported', now() - n * interval '1 day' from generate_series(1, 300) n",
      [id],
    )
    await cleanUp(server.db, server.deletions)
    const left = await server.db('events').where({ teacher_id: id }).count()
    expect(Number(left[0]!.count)).toBe(1 + eventKinds.length + eventDays - 1)
    expect(await listEvents(server.db, id)).toHaveLength(mostEvents)
  })

  it('are deleted with the account', async () => {
    const gone = await server.teacher('gone@island.example')
    await gone.post('/api/me/delete').send({ password: 'correct horse' }).expect(200)
    const rows = await server.db('events').leftJoin('teachers as t', 't.id', 'events.teacher_id').whereNull('t.id')
    expect(rows).toEqual([])
  })
})
