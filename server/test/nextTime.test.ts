import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Session } from '@esfuerzo/core'
import { pupilKey } from '../src/pupils/pupilCode.ts'
import { runOf, sentSession, smallSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

const secret = 's'.repeat(40)
let server: TestServer
let own: Agent
beforeAll(async () => {
  server = await testServer()
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

const send = (token: string, run: object, pupil?: string) =>
  server
    .browser()
    .post(`/api/go/${token}/runs`)
    .set('pupil-key', pupil ? pupilKey(pupil, 1, secret) : '')
    .send(run)
    .expect(200)

it('results are reported time by time and lane by lane, the latest first, without names', async () => {
  const { workoutId: sessionId, publication } = await sentSession(own)
  await send(publication.token, runOf(publication, { felt: { scale: 'faces', value: 2 } }))
  await server.db('publications').update({ created_at: server.db.raw("created_at - interval '7 days'") })
  const { body: again } = await own
    .post(`/api/workouts/${sessionId}/publications`)
    .send({ revision: 1, days: 7 })
    .expect(200)
  await send(
    again.token,
    runOf(again, { steps: { done: 3, skipped: 0, easier: 1 }, ended: 'early', felt: { scale: 'faces', value: 5 } }),
  )
  const { times } = (await own.get(`/api/workouts/${sessionId}/came-back`).expect(200)).body
  const calm = { clean: 0, told: 0, easier: false, early: false }
  expect(times.map((time: { lanes: object }) => time.lanes)).toEqual([
    { g1: [{ felt: { scale: 'faces', value: 5 }, clean: 0, told: 0, easier: true, early: true }] },
    { g1: [{ ...calm, felt: { scale: 'faces', value: 2 } }] },
  ])
  expect(Date.parse(times[0].sentAt)).toBeGreaterThan(Date.parse(times[1].sentAt))
  const other = await server.teacher('other@island.example')
  await other.get(`/api/workouts/${sessionId}/came-back`).expect(404)
})

it('typed and imported values of a class count beside its runs, and none of another class', async () => {
  const { workoutId: sessionId, publication } = await sentSession(own)
  const aClass = async (name: string, aliases: string[]) => {
    const { id } = (
      await own
        .post('/api/classes')
        .send({ name, grades: [1] })
        .expect(200)
    ).body
    const { pupils } = (await own.post(`/api/classes/${id}/pupils`).send({ aliases }).expect(200)).body
    return { id: id as string, pupils: (pupils as { id: string }[]).map((pupil) => pupil.id) }
  }
  const first = await aClass('First', ['Tern 1', 'Tern 2', 'Tern 3'])
  const second = await aClass('Second', ['Tern 1'])
  const typedIn = (sent: typeof first, pupil: number, source: 'typed' | 'imported', value: number) => {
    const at = { id: randomUUID(), pupil: sent.pupils[pupil], was: null, source }
    const cells = [
      { ...at, what: 'felt', value },
      { ...at, id: randomUUID(), what: 'result', block: 'b2', station: 's1', lap: 1, value: 9 },
    ]
    return own.put(`/api/classes/${sent.id}/results/${publication.id}`).send({ cells }).expect(200)
  }
  const told = async (classId = '') =>
    (await own.get(`/api/workouts/${sessionId}/came-back${classId && `?class=${classId}`}`).expect(200)).body
  expect(await told()).toEqual({ times: [], classes: [], others: false })
  await typedIn(first, 0, 'typed', 2)
  await typedIn(first, 1, 'imported', 3)
  await send(publication.token, runOf(publication, { felt: { scale: 'faces', value: 4 } }), first.pupils[2])
  // Who sent a run is not counted a second time for what was typed in besides.
  await typedIn(first, 2, 'typed', 5)
  await typedIn(second, 0, 'typed', 1)
  const felt = async (classId?: string) =>
    (await told(classId)).times.flatMap(({ lanes }: { lanes: Record<string, { felt: { value: number } }[]> }) =>
      (lanes.g1 ?? []).map((one) => one.felt.value).sort(),
    )
  expect(await felt(first.id)).toEqual([2, 3, 4])
  expect(await felt(second.id)).toEqual([1])
  expect(await felt()).toEqual([1, 2, 3, 4])
  expect((await told(second.id)).times[0].lanes.g1).toEqual([
    { felt: { scale: 'faces', value: 1 }, clean: 0, told: 0, easier: false, early: false, typed: true },
  ])
  expect(await told()).toMatchObject({
    classes: [
      { id: second.id, name: 'Second' },
      { id: first.id, name: 'First' },
    ],
    others: false,
  })
  await send(publication.token, runOf(publication, { id: randomUUID() }))
  expect(await told()).toMatchObject({ others: true })
  const other = await server.teacher('elsewhere@island.example')
  await other.get(`/api/workouts/${sessionId}/came-back?class=${first.id}`).expect(404)
})

/** A session of six counted rows at the child's own pace. */
function ownPace(): Session {
  const session = smallSession()
  const [section] = session.sections
  const block = section!.blocks[0]!
  const stations = Array.from({ length: 6 }, (_, i) => ({
    id: `s${i + 1}`,
    cells: { all: { move: 'squat', version: 'squat', dose: { unit: 'reps', amount: 12 }, tempo: 'own' } },
  }))
  const list = { id: block.id, form: 'list', stations, restAfter: { all: 0 } }
  return { ...session, sections: [{ ...section!, blocks: [list] }] } as unknown as Session
}

it('a class’s own pace is given once there are eight children and two sessions, and is kept if its teacher uses it', async () => {
  const classId = (
    await own
      .post('/api/classes')
      .send({ name: '1b', grades: [0, 1] })
      .expect(200)
  ).body.id as string
  const aliases = Array.from({ length: 8 }, (_, i) => `Tern ${i + 1}`)
  const { pupils } = (await own.post(`/api/classes/${classId}/pupils`).send({ aliases }).expect(200)).body
  const pace = async () => (await own.get(`/api/classes/${classId}/pace`).expect(200)).body.pace
  for (const _ of [1, 2]) {
    expect(await pace()).toBeNull()
    const { publication } = await sentSession(own, ownPace())
    const snapshot = (await server.browser().get(`/snapshots/${publication.sha256}`).expect(200)).body
    const steps = snapshot.lanes[0].steps as { kind: string; by: string; seconds: { typical: number } }[]
    const counted = steps.flatMap(({ kind, by, seconds }, step) =>
      kind === 'work' && by === 'count'
        ? [{ step, seconds: seconds.typical * 1.3 + 1, by: 'tap' as const, seen: true, spoken: false }]
        : [],
    )
    expect(counted).toHaveLength(6)
    for (const { id } of pupils)
      await send(publication.token, runOf(publication, { id: randomUUID(), results: [], counted }), id)
  }
  // Eight children pull the usual pace 8 / 11 of the way to their own. Here they are all alike, so the correction for leaving out the
  // longest one, 0.157 of the 0.2 by which children differ, is added: 1.3 × e^0.0315, to the power of 8 / 11.
  expect(await pace()).toMatchObject({
    children: 8,
    pace: expect.closeTo((1.3 * Math.exp(0.157 * 0.2)) ** (8 / 11), 3),
  })
  const body = { name: '1b', grades: [0, 1], pace: 1.08 }
  expect((await own.put(`/api/classes/${classId}`).send(body).expect(200)).body.pace).toBe(1.08)
  const usual = { name: '1b', grades: [0, 1], pace: null }
  expect((await own.put(`/api/classes/${classId}`).send(usual).expect(200)).body.pace).toBeNull()
  await own
    .put(`/api/classes/${classId}`)
    .send({ ...body, pace: 3 })
    .expect(400)
})
