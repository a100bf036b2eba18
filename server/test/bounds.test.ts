import { join } from 'node:path'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { newSession } from '@esfuerzo/core'
import { root } from '../../scripts/stack.mjs'
import { dearSession, hostileSessions } from '../../core/test/support/hostile.ts'
import type { Gone, GoneThing } from '../src/gone/gone.ts'
import { openPaperStore } from '../src/handout/paper.ts'
import type { JobPool } from '../src/workers/jobPool.ts'
import {
  runOf,
  sentSession,
  smallSession,
  testServer,
  jobPool,
  type Agent,
  type TestServer,
} from './support/testServer.ts'

let server: TestServer
let own: Agent
beforeAll(async () => {
  server = await testServer()
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

describe('long work', () => {
  it.each(Object.entries(hostileSessions))(
    '%s is saved, and refused by name when it is to be sent',
    async (_, session) => {
      const { body: saved } = await own.post('/api/workouts').send({ document: session() }).expect(200)
      const publish = await own.post(`/api/workouts/${saved.id}/publications`).send({ revision: 1, days: 7 })
      expect([publish.status, publish.body.problems[0].code]).toEqual([400, 'too-many'])
      expect(publish.body.detail).toContain('at most 3000 steps')
      expect((await own.get(`/api/workouts/${saved.id}/sheets/session`)).body.problems[0].code).toBe('too-many')
      expect(await server.db('snapshots').whereRaw('length(body) > 1000000')).toEqual([])
    },
  )

  it('delays nobody else: expensive work waits for everything requested meanwhile', async () => {
    const { body: saved } = await own.post('/api/workouts').send({ document: dearSession() }).expect(200)
    const order: string[] = []
    const publishing = own
      .post(`/api/workouts/${saved.id}/publications`)
      .send({ revision: 1, days: 7 })
      .then(({ status }) => order.push(`published ${status}`))
    for (let i = 0; i < 30; i++) {
      await server.browser().get('/healthz').expect(200)
      order.push('well')
    }
    await publishing
    expect(order).toEqual([...Array<string>(30).fill('well'), 'published 200'])
  })

  it('of one owner cannot fill the queue, and work without time left is refused', async () => {
    const draft = { document: dearSession() }
    const asked = await Promise.allSettled(Array.from({ length: 6 }, () => jobPool.run('snapshot', draft, 'one')))
    const refused = asked.flatMap((a) => (a.status === 'rejected' ? [(a.reason as { code: string }).code] : []))
    expect(refused).toEqual(['too-many-tries', 'too-many-tries', 'too-many-tries'])
    await expect(jobPool.run('snapshot', { document: newSession('Empty', [[0]], 20, 1) }, 'one')).rejects.toMatchObject(
      {
        problems: [{ code: 'too-small' }],
      },
    )
  })
})

describe('print', () => {
  const snapshotOf = (sha256: string) => ({ sha256, owner: 'link', read: async () => 'body' })
  const sheet = { kind: 'session', language: 'en', paper: 'a4' } as const
  function opened() {
    let made = 0
    let forget: (thing: GoneThing | undefined) => void = () => {}
    const gone: Gone & { heard: boolean } = { heard: true, onGone: (f) => void (forget = f), close: async () => {} }
    const pool = { run: async () => Uint8Array.of(++made), close: async () => {} } as unknown as JobPool
    return { paper: openPaperStore(pool, gone), gone, forget: (thing?: GoneThing) => forget(thing), made: () => made }
  }

  it('requested eight times at once is made once, and once for each language', async () => {
    const { paper, made } = opened()
    await Promise.all(Array.from({ length: 8 }, () => paper.sent(snapshotOf('a'), sheet)))
    expect(made()).toBe(1)
    await paper.sent(snapshotOf('a'), { ...sheet, language: 'es' })
    await paper.draft('t', { document: smallSession() }, sheet)
    await paper.draft('t', { document: smallSession() }, sheet)
    await paper.draft('t', { document: smallSession('Changed') }, sheet)
    expect(made()).toBe(4)
  })

  it('of something deleted is made again, and while deletion notices are missing nothing is cached', async () => {
    const { paper, gone, forget, made } = opened()
    await paper.sent(snapshotOf('a'), sheet)
    await paper.sent(snapshotOf('b'), sheet)
    forget({ snapshot: 'a' })
    await paper.sent(snapshotOf('b'), sheet)
    expect(made()).toBe(2)
    await paper.sent(snapshotOf('a'), sheet)
    expect(made()).toBe(3)
    forget()
    gone.heard = false
    await paper.sent(snapshotOf('a'), sheet)
    await paper.sent(snapshotOf('a'), sheet)
    expect(made()).toBe(5)
  })
})

describe('a run', () => {
  it('takes three statements, the next of its link two, and reads no snapshot', async () => {
    const { publication } = await sentSession(own)
    const statements: string[] = []
    const counted = ({ sql }: { sql: string }) => void statements.push(sql)
    server.db.on('query', counted)
    const send = () => server.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication)).expect(200)
    await send()
    expect(statements).toHaveLength(3)
    await send()
    server.db.removeListener('query', counted)
    expect(statements).toHaveLength(5)
    expect(statements.join()).not.toMatch(/body/)
    expect(await server.db('runs').where({ publication_id: publication.id })).toHaveLength(2)
  })

  it('is not accepted through an ended or deleted link, even if a server has it cached and missed the notice', async () => {
    const deaf = await server.another({ heard: true, onGone: () => {}, close: async () => {} })
    const { publication, workoutId: sessionId } = await sentSession(own, smallSession('Known to another'))
    const send = (s: Pick<TestServer, 'browser'>) =>
      s.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication))
    for (const s of [server, deaf]) await send(s).expect(200)
    await own.post(`/api/publications/${publication.id}/end`).send({ misused: true }).expect(200)
    for (const s of [server, deaf]) await send(s).expect(410)
    await own.delete(`/api/workouts/${sessionId}`).expect(200)
    await own.delete(`/api/bin/${sessionId}`).expect(200)
    for (const s of [server, deaf]) await send(s).expect(404)
    expect(await server.db('runs').where({ publication_id: publication.id })).toEqual([])
    await deaf.close()
  })

  it('from one network leaves room for the other homes of a class', async () => {
    const strict = await testServer({ ...server.limits, runsOfNetwork: { points: 2, seconds: 60 } })
    const { publication } = await sentSession(await strict.teacher('own@island.example'))
    const send = () => strict.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication))
    expect([(await send()).status, (await send()).status, (await send()).status]).toEqual([200, 200, 429])
    await strict.close()
    own = await server.teacher('again@island.example')
  })
})

describe('deleted data', () => {
  it('is served from no server’s memory', async () => {
    const other = await server.another()
    const { workoutId: sessionId, publication } = await sentSession(own, smallSession('Deleted'))
    const address = `/snapshots/${publication.sha256}`
    for (const s of [server, other]) await s.browser().get(address).expect(200)
    await own.delete(`/api/workouts/${sessionId}`).expect(200)
    await own.delete(`/api/bin/${sessionId}`).expect(200)
    for (const s of [server, other])
      await expect.poll(async () => (await s.browser().get(address)).status, { timeout: 60_000 }).toBe(404)
    await other.close()
  })

  it('is not served by a server that missed the notice', async () => {
    const { workoutId: sessionId, publication } = await sentSession(own, smallSession('Deleted unheard'))
    const address = `/snapshots/${publication.sha256}`
    await server.browser().get(address).expect(200)
    // Every listening connection is cut, and the deletion happens before anybody listens again.
    await server.db.raw("select pg_terminate_backend(pid) from pg_stat_activity where query ilike 'listen%'")
    await server.db('workouts').where({ id: sessionId }).delete()
    await server.db('snapshots').where({ sha256: publication.sha256 }).delete()
    await expect.poll(async () => (await server.browser().get(address)).status, { timeout: 60_000 }).toBe(404)
    // It is cached again once deletion notices arrive.
    await expect.poll(() => server.gone.heard, { timeout: 60_000 }).toBe(true)
  })
})

/** The listener's own keep-alive query, which belongs to no request. */
const lookOfListener = 'SELECT pg_backend_pid()'

/** All other database queries during an action, by anybody. */
async function asked(act: () => Promise<unknown>): Promise<string[]> {
  const query = vi.spyOn(pg.Client.prototype, 'query')
  await act()
  const asked = query.mock.calls.map(([it]) => String((it as { text?: string }).text ?? it))
  query.mockRestore()
  return asked.filter((text) => text !== lookOfListener)
}

describe('statements per request', () => {
  it('a save takes two: who it is, the save with its history', async () => {
    const { workoutId: sessionId } = await sentSession(own)
    const save = (revision: number) =>
      own.put(`/api/workouts/${sessionId}`).send({ revision, document: smallSession() }).expect(200)
    // The first after sending starts a revision, the second continues it.
    const counts: number[] = []
    for (const revision of [1, 2, 3, 4]) counts.push((await asked(() => save(revision))).length)
    // The server's background work may fall into one of them: whoever queries is counted.
    expect(counts.sort().slice(0, 3)).toEqual([2, 2, 2])
    expect(counts[3]).toBeLessThanOrEqual(3)
    const { body } = await own.get(`/api/workouts/${sessionId}/versions`)
    expect(body.versions.map((v: { reason: string }) => v.reason)).toEqual(['edit', 'published'])
    // A late one makes one more query, to find out whether the row exists at all.
    const late = () => own.put(`/api/workouts/${sessionId}`).send({ revision: 1, document: smallSession() }).expect(409)
    expect((await asked(late)).length).toBeLessThanOrEqual(4)
  })

  it('a sign-in is extended by the first of an hour', async () => {
    const days = async () => {
      const { rows } = await server.db.raw<{ rows: { days: string }[] }>(
        'select extract(epoch from max(expire) - now()) / 86400 as days from sign_ins',
      )
      return Math.round(Number(rows[0]!.days))
    }
    const again = await server.teacher('again3@island.example')
    const askedTwice = async () => {
      const counts = [await asked(() => again.get('/api/me')), await asked(() => again.get('/api/me'))]
      return counts.map((statements) => statements.filter((sql) => sql.startsWith('UPDATE "sign_ins"')).length)
    }
    expect(await askedTwice()).toEqual([1, 0])
    await server.db('sign_ins').update({ expire: new Date(Date.now() + 3 * 86_400_000) })
    await again.get('/api/me').expect(200)
    expect(await days()).toBe(3)
    const hourOn = performance.now() + 61 * 60 * 1000
    const clock = vi.spyOn(performance, 'now').mockImplementation(() => hourOn)
    expect(await askedTwice()).toEqual([1, 0])
    clock.mockRestore()
    expect(await days()).toBe(14)
  })

  it('a family’s page takes none', async () => {
    const { publication } = await sentSession(own)
    const withPages = await testServer(server.limits, { pages: join(root, 'web/dist') })
    const open = () => withPages.browser().get(`/go/${publication.token}`).expect(200).expect('content-type', /html/)
    expect(await asked(open)).toEqual([])
    await withPages.close()
    own = await server.teacher('again2@island.example')
  })
})
