import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { samples } from '../../core/test/support/samples.ts'
import { cleanUp } from '../src/cleanup/cleanUp.ts'
import { runMoment } from '../src/runs/runMoment.ts'
import { exportOf, runOf, sentSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

let server: TestServer
let own: Agent
beforeAll(async () => void (server = await testServer()))
beforeEach(async () => {
  await server.db.raw('truncate teachers, snapshots, sign_ins, limits cascade')
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

const send = (token: string, run: object) => server.browser().post(`/api/go/${token}/runs`).send(run)
const count = async (table: string) => Number((await server.db(table).count({ n: '*' }))[0]!.n)

describe('results that cannot be written at the moment', () => {
  it('delay no run: forty that arrive while they are locked are stored, and their results follow', async () => {
    const { publication } = await sentSession(own)
    const holder = await server.db.transaction()
    await holder.raw('lock table results in access exclusive mode')
    const released = new Promise((resolve) => setTimeout(resolve, samples(2500, 6000))).then(() => holder.rollback())
    const answers = await Promise.all(Array.from({ length: 40 }, () => send(publication.token, runOf(publication))))
    expect(answers.map((a) => a.status)).toEqual(Array<number>(40).fill(200))
    expect(await count('runs')).toBe(40)
    await released
    // Two values each: the count, and how it felt.
    await expect.poll(() => count('results'), { timeout: 120_000 }).toBe(80)
  })

  it('belong to the run’s pupil at that time', async () => {
    const { publication } = await sentSession(own)
    const classId = (
      await own
        .post('/api/classes')
        .send({ name: '2b', grades: [0, 1] })
        .expect(200)
    ).body.id
    const { pupils } = (
      await own
        .post(`/api/classes/${classId}/pupils`)
        .send({ aliases: ['Tern 4'] })
        .expect(200)
    ).body
    const holder = await server.db.transaction()
    await holder.raw('lock table results in exclusive mode')
    const run = runOf(publication)
    await send(publication.token, run).expect(200)
    await server.db('runs').where({ id: run.id }).update({ pupil_id: pupils[0].id })
    await holder.rollback()
    await expect.poll(() => count('results'), { timeout: 120_000 }).toBe(2)
    expect(await server.db('results').distinct('pupil_id')).toEqual([{ pupil_id: pupils[0].id }])
  })
})

describe('a run', () => {
  it('that says more than its session has room for is refused; the largest that fits is accepted', async () => {
    const { publication } = await sentSession(own)
    const { lanes } = (await server.db('snapshots').first('outline')).outline
    const steps = lanes[0].steps as number
    const result = { block: 'b2', station: 's1', lap: 1, value: 14, unit: 'reps' } as const
    const step = { step: 0, seconds: 3, by: 'tap', seen: true, spoken: false } as const
    const many = (n: number) => runOf(publication, { results: Array(n).fill(result) })
    const refused = await send(publication.token, many(500))
    expect([refused.status, refused.body.problems]).toEqual([
      400,
      [expect.objectContaining({ code: 'too-many', path: ['results'] })],
    ])
    const counted = runOf(publication, { counted: Array(steps + 1).fill(step) })
    expect((await send(publication.token, counted)).body.problems).toMatchObject([{ path: ['counted'] }])
    await send(publication.token, runOf(publication, { counted: Array(steps).fill(step) })).expect(200)
  })

  it('by a clock that was never set, or runs years ahead, counts as finished when it arrived', async () => {
    const now = Date.UTC(2026, 10, 28)
    expect(runMoment('2999-01-01T00:00:00.000Z', now).getTime()).toBe(now)
    expect(runMoment('1970-01-01T00:00:00.000Z', now).getTime()).toBe(now)
    expect(runMoment('2026-11-20T10:00:00.000Z', now).toISOString()).toBe('2026-11-20T10:00:00.000Z')
    const { workoutId: sessionId } = await sentSession(own)
    const classId = (
      await own
        .post('/api/classes')
        .send({ name: '2b', grades: [0, 1] })
        .expect(200)
    ).body.id
    const { body: publication } = await own
      .post(`/api/workouts/${sessionId}/publications`)
      .send({ revision: 1, days: 7, classId })
      .expect(200)
    const days = ['1970-01-01', '2999-01-01']
    for (const day of days)
      await send(
        publication.token,
        runOf(publication, { startedAt: `${day}T10:00:00.000Z`, finishedAt: `${day}T10:20:00.000Z` }),
      ).expect(200)
    for (const { finished_at } of await server.db('runs').select('finished_at'))
      expect(Math.abs(finished_at.getTime() - Date.now())).toBeLessThan(60_000)
    // Neither is deleted with a year long past, nor kept forever.
    await server.db('classes').update({ ruled_from: '2000-01-01' })
    expect(await cleanUp(server.db, server.deletions)).toMatchObject({ gone: { runs: 0 } })
    await server.db('classes').update({ year_ends: '2099-07-31' })
    expect(await cleanUp(server.db, server.deletions, '2099-08-01')).toMatchObject({ gone: { runs: 2 } })
  })

  it('is listed without the data that only a class’s pace needs', async () => {
    const { publication } = await sentSession(own)
    const step = { step: 1, seconds: 3, by: 'tap', seen: true, spoken: false } as const
    await send(publication.token, runOf(publication, { counted: [step] })).expect(200)
    const { runs } = (await own.get('/api/runs').expect(200)).body
    expect(runs[0].run.counted).toBeUndefined()
    expect(Object.keys(await exportOf(own)).length).toBeGreaterThan(3)
  })
})

it('two hundred children behind one address open a session and send within a minute: nobody is refused', async () => {
  const { publication } = await sentSession(own)
  const one = async () => {
    const open = await server.browser().get(`/api/go/${publication.token}`)
    const snapshot = await server.browser().get(`/snapshots/${publication.sha256}`)
    const sent = await send(publication.token, runOf(publication, { id: randomUUID() }))
    return [open.status, snapshot.status, sent.status]
  }
  const answers = (await Promise.all(Array.from({ length: 200 }, one))).flat()
  expect(answers.filter((status) => status !== 200)).toEqual([])
  expect(await count('runs')).toBe(200)
})
