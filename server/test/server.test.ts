import { createHash } from 'node:crypto'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { problemCodes, readSession } from '@esfuerzo/core'
import { publicationSchema } from '@esfuerzo/core/publication'
import { errorStatus, problemDocumentSchema } from '@esfuerzo/contract'
import { addDemo, demoSignIn } from '../src/demo/addDemo.ts'
import { isDatabaseAway } from '../src/base/database.ts'
import { readConfig } from '../src/base/config.ts'
import { defaultLimits } from '../src/http/limits.ts'
import { networkOf } from '../src/http/address.ts'
import { samples } from '../../core/test/support/samples.ts'
import { loggedError, loggedPath } from '../src/http/logging.ts'
import { problemDocument, ServerError, toServerError } from '../src/http/serverError.ts'
import {
  library,
  published,
  runOf,
  sentSession,
  smallSession,
  testServer,
  type Agent,
  type TestServer,
} from './support/testServer.ts'

let server: TestServer
let own: Agent
beforeAll(async () => void (server = await testServer()))
beforeEach(async () => {
  await server.db.raw('truncate teachers, snapshots, sign_ins, limits cascade')
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

const count = async (table: string) => Number((await server.db(table).count({ n: '*' }))[0]!.n)

describe('sessions', () => {
  it('are saved over the revision they started from; another is a conflict and changes nothing', async () => {
    const { body } = await own.post('/api/workouts').send({ document: smallSession() }).expect(200)
    const save = (revision: number, title: string) =>
      own.put(`/api/workouts/${body.id}`).send({ revision, document: smallSession(title) })
    expect((await save(1, 'Second')).body.revision).toBe(2)
    expect((await save(1, 'Late')).body).toMatchObject({ status: 409, code: 'conflict' })
    expect((await own.get(`/api/workouts/${body.id}`)).body.document.title).toBe('Second')
  })

  it('saved at the same moment from the same revision: one wins, the other is told', async () => {
    const { body } = await own.post('/api/workouts').send({ document: smallSession() }).expect(200)
    const tries = await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        own.put(`/api/workouts/${body.id}`).send({ revision: 1, document: smallSession(`Try ${i}`) }),
      ),
    )
    expect(tries.map((t) => t.status).sort()).toEqual([200, ...Array(7).fill(409)])
  })

  it('return unchanged, odd Unicode and markup included', async () => {
    const document = smallSession('<img src=x onerror=alert(1)> 👩🏽‍🦽 ‏שלום é')
    const { body } = await own.post('/api/workouts').send({ document }).expect(200)
    expect(readSession((await own.get(`/api/workouts/${body.id}`)).body.document)).toEqual(document)
  })

  it('go into the trash and out again', async () => {
    const { body } = await own.post('/api/workouts').send({ document: smallSession() }).expect(200)
    await own.delete(`/api/workouts/${body.id}`).expect(200)
    await own.get(`/api/workouts/${body.id}`).expect(404)
    await own.post(`/api/workouts/${body.id}/restore`).expect(200)
    expect((await own.get('/api/workouts')).body.workouts).toHaveLength(1)
  })
})

describe('bad input', () => {
  const nothingStored = async () => expect(await count('workouts')).toBe(0)

  it('with three mistakes is refused completely, naming all three by path', async () => {
    const document = JSON.parse(JSON.stringify(smallSession()))
    document.colour = 'red'
    document.minutes = 'twenty'
    document.sections[1].blocks[0].stations[0].cells.all.version = 7
    const { body, status } = await own.post('/api/workouts').send({ document })
    expect(status).toBe(400)
    expect(body.problems.map((p: { path: string[] }) => p.path.join('.')).sort()).toEqual([
      'document.colour',
      'document.minutes',
      'document.sections.1.blocks.0.stations.0.cells.all.version',
    ])
    expect(body.detail).toContain('document.minutes: should be a number, found "twenty"')
    await nothingStored()
  })

  it.each<[string, (d: ReturnType<typeof smallSession>) => unknown, string]>([
    [
      'a group that is not there',
      (d) => ({
        ...d,
        sections: [
          {
            ...d.sections[1]!,
            blocks: [
              {
                ...d.sections[1]!.blocks[0]!,
                laps: { all: [{ work: 1, rest: 1 }], by: { g9: [{ work: 2, rest: 2 }] } },
              },
            ],
          },
        ],
      }),
      'unknown-group',
    ],
    [
      'a move that is not there',
      (d) => JSON.parse(JSON.stringify(d).replaceAll('"pogo"', '"moonwalk"')),
      'unknown-move',
    ],
    ['nothing at all', () => null, 'wrong-type'],
  ])('with %s is refused by name', async (_, spoil, code) => {
    const { body, status } = await own.post('/api/workouts').send({ document: spoil(smallSession()) })
    expect([status, body.problems[0].code]).toEqual([400, code])
    await nothingStored()
  })

  it('too large, not JSON, or with an odd id: a clear answer each', async () => {
    const large = await own.post('/api/workouts').send({ document: 'x'.repeat(600_000) })
    expect([large.status, large.body.code]).toEqual([413, 'too-big'])
    const broken = await own.post('/api/workouts').type('json').send('{"document":')
    expect([broken.status, broken.body.problems[0].code]).toEqual([400, 'not-json'])
    for (const id of ['1', '../..', "'; drop table workouts; --"]) {
      expect((await own.get(`/api/workouts/${encodeURIComponent(id)}`)).status).toBe(400)
    }
    expect((await own.get('/api/nothing')).body.code).toBe('not-found')
    await nothingStored()
  })

  it('is not even read when nobody is signed in', async () => {
    const { body } = await server
      .browser()
      .post('/api/workouts')
      .send({ document: 'x'.repeat(600_000) })
    expect(body.code).toBe('sign-in-needed')
  })
})

describe('a publication', () => {
  it('is the projection as canonical JSON, addressed by its SHA-256, compressed and cached forever', async () => {
    const { publication } = await sentSession(own)
    const answer = await server.browser().get(`/snapshots/${publication.sha256}`).expect(200)
    expect(createHash('sha256').update(answer.text).digest('hex')).toBe(publication.sha256)
    expect(publicationSchema.parse(answer.body)).toEqual(JSON.parse(JSON.stringify(published())))
    // RFC 8785: keys sorted by UTF-16 code units, no white space.
    expect(Object.keys(answer.body)).toEqual(Object.keys(answer.body).sort())
    expect(answer.text).not.toMatch(/"[^"\\]*":\s/)
    expect(answer.text).not.toContain('only for me')
    expect(answer.headers).toMatchObject({
      'content-encoding': 'gzip',
      etag: `"${publication.sha256}"`,
      'cache-control': expect.stringContaining('immutable'),
    })
    const { port } = server.server.address() as AddressInfo
    const best = await fetch(`http://127.0.0.1:${port}/snapshots/${publication.sha256}`, {
      headers: { 'accept-encoding': 'gzip, br' },
    })
    expect([best.headers.get('content-encoding'), await best.text()]).toEqual(['br', answer.text])
    await server
      .browser()
      .get(`/snapshots/${publication.sha256}`)
      .set('If-None-Match', `"${publication.sha256}"`)
      .expect(304)
  })

  it('needs no SQL once cached, and its link one statement', async () => {
    const { publication } = await sentSession(own)
    const browser = server.browser()
    await browser.get(`/snapshots/${publication.sha256}`)
    let statements = 0
    const counted = () => void statements++
    server.db.on('query', counted)
    for (let i = 0; i < samples(100, 1000); i++) await browser.get(`/snapshots/${publication.sha256}`).expect(200)
    expect(statements).toBe(0)
    await browser.get(`/api/go/${publication.token}`).expect(200)
    expect(statements).toBe(1)
    server.db.removeListener('query', counted)
  })

  it('has a token of 128 bits that is not stored, ends when told, and is refused when empty', async () => {
    const { publication, workoutId: sessionId } = await sentSession(own)
    expect(Buffer.from(publication.token, 'base64url')).toHaveLength(16)
    const row = await server.db('publications').first()
    expect(JSON.stringify(row)).not.toContain(publication.token)
    expect((await own.get(`/api/workouts/${sessionId}/publications`)).body.publications[0]).toEqual(publication)
    await server.db('publications').update({ ends_at: new Date(Date.now() - 1000) })
    expect((await server.browser().get(`/api/go/${publication.token}`)).body.code).toBe('ended')
    const empty = await own
      .post('/api/workouts')
      .send({ document: { ...smallSession(), sections: [] } })
      .expect(200)
    expect((await own.post(`/api/workouts/${empty.body.id}/publications`).send({ revision: 1, days: 7 })).status).toBe(
      400,
    )
    expect((await own.post(`/api/workouts/${sessionId}/publications`).send({ revision: 9, days: 7 })).status).toBe(409)
  })
})

describe('a run', () => {
  it('sent ten times at once is stored once, and reaches the teacher', async () => {
    const { publication, workoutId: sessionId } = await sentSession(own)
    const run = runOf(publication)
    const browser = server.browser()
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => browser.post(`/api/go/${publication.token}/runs`).send(run)),
    )
    expect(answers.map((a) => a.status)).toEqual(Array(10).fill(200))
    expect(await count('runs')).toBe(1)
    const { body } = await own.get(`/api/runs?workout=${sessionId}`).expect(200)
    expect(body.runs).toMatchObject([
      { title: 'Springs', letter: 'A', groupName: 'K–1', run: { ...run, version: 2 }, stations: { s1: 'Pogo jump' } },
    ])
    expect((await own.get('/api/workouts')).body.workouts[0].runs).toBe(1)
  })

  it('of another session, an unknown group or station, or with a name in it is refused by path', async () => {
    const { publication } = await sentSession(own)
    const send = (more: object) =>
      server
        .browser()
        .post(`/api/go/${publication.token}/runs`)
        .send({ ...runOf(publication), ...more })
    const paths = async (more: object) =>
      (await send(more)).body.problems.map((p: { path: string[] }) => p.path.join('.'))
    expect(await paths({ publication: 'b'.repeat(64) })).toEqual(['publication'])
    expect(await paths({ group: 'g7', results: [{ block: 'b9', value: 1, unit: 'reps' }] })).toEqual([
      'group',
      'results.0.block',
    ])
    expect(await paths({ childName: 'x' })).toEqual(['childName'])
    expect(await paths({ finishedAt: '2020-01-01T00:00:00Z' })).toEqual(['finishedAt'])
    expect(await count('runs')).toBe(0)
  })
})

describe('signing in', () => {
  it('never reveals whether an account exists, and makes a new session id', async () => {
    const wrong = (email: string) => server.browser().post('/api/session').send({ email, password: 'x' })
    const [known, unknown] = [await wrong('own@island.example'), await wrong('nobody@island.example')]
    expect(known.status).toBe(401)
    const same = ({ instance: _, ...rest }: Record<string, unknown>) => rest
    expect(same(known.body)).toEqual(same(unknown.body))
    expect(known.headers['set-cookie']).toBeUndefined()
    const good = await server
      .browser()
      .post('/api/session')
      .send({ email: 'OWN@island.example', password: 'correct horse' })
      .expect(200)
    const cookies = good.headers['set-cookie'] as unknown as string[]
    expect(cookies).toHaveLength(2)
    for (const cookie of cookies) expect(cookie).toMatch(/HttpOnly; SameSite=Lax/)
  })

  it('is limited by account and network; so are the runs of a link', async () => {
    const strict = await testServer({
      ...defaultLimits,
      account: { points: 3, seconds: 60 },
      mail: { points: 2, seconds: 60 },
      runs: { points: 2, seconds: 60 },
    })
    const teacher = await strict.teacher('own@island.example')
    const tryOut = (email: string, password = 'x') =>
      strict
        .browser()
        .post('/api/session')
        .send({ email, password })
        .then((r) => r.status)
    const many: number[] = []
    for (let i = 0; i < 4; i++) many.push(await tryOut('own@island.example'))
    expect(many).toEqual([401, 401, 401, 429])
    expect(await tryOut('own@island.example', 'correct horse')).toBe(429)
    expect(await tryOut('a@island.example')).toBe(401)
    const { publication } = await sentSession(teacher)
    const sends: number[] = []
    for (let i = 0; i < 3; i++)
      sends.push((await strict.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication))).status)
    expect(sends).toEqual([200, 200, 429])
    await strict.close()
  })

  it('on several devices: a new password signs the others out, and "everywhere" all of them', async () => {
    const phone = server.browser()
    const signIn = (agent: Agent, password: string) =>
      agent.post('/api/session').send({ email: 'own@island.example', password })
    await signIn(phone, 'correct horse').expect(200)
    const change = (current: string, next: string) => own.post('/api/password').send({ current, next })
    expect((await change('wrong', 'battery staple')).body.code).toBe('wrong-sign-in')
    expect((await change('correct horse', 'short')).body.problems[0].path).toEqual(['next'])
    await phone.get('/api/me').expect(200)
    await change('correct horse', 'battery staple').expect(200)
    await phone.get('/api/me').expect(401)
    await own.get('/api/me').expect(200)
    await signIn(phone, 'correct horse').expect(401)
    await signIn(phone, 'battery staple').expect(200)
    // According to https://cheatsheetseries.owasp.org/cheatsheets/Password_Storage_Cheat_Sheet.html (from memory): Argon2id, 19 MiB, two
    // passes.
    const [{ password_hash }] = (await server.db('teachers').where({ email: 'own@island.example' })) as [
      { password_hash: string },
    ]
    expect(password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/)
    // A sign-in ends after two weeks without use.
    const [{ seconds }] = (
      await server.db.raw('select extract(epoch from max(expire) - now()) as seconds from sign_ins')
    ).rows as [{ seconds: string }]
    expect(Number(seconds) / 86_400).toBeCloseTo(14, 1)
    await server.db('sign_ins').update({ expire: server.db.raw('now()') as unknown as Date })
    await phone.get('/api/me').expect(401)
    await signIn(phone, 'battery staple').expect(200)
    await phone.delete('/api/sessions').expect(200)
    await own.get('/api/me').expect(401)
  })

  it('out ends the session on the server', async () => {
    await own.delete('/api/session').expect(200)
    await own.get('/api/me').expect(401)
    expect(await count('sign_ins')).toBe(0)
  })
})

it('logs no token, hash, password, cookie or body', async () => {
  const { publication } = await sentSession(own)
  await server.browser().get(`/api/go/${publication.token}`)
  await server.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication)).expect(200)
  await server.browser().get(`/snapshots/${publication.sha256}`)
  const log = server.logged.join('')
  expect(log).toContain('/api/go/…/runs')
  for (const secret of [
    publication.token,
    publication.sha256,
    'correct horse',
    'esfuerzo=',
    'only for me',
    'own@island.example',
  ])
    expect(log).not.toContain(secret)
  expect(loggedPath('/go/AbC/run?token=x')).toBe('/go/…/run')
})

it('sends a content security policy without inline scripts, no referrer, no powered-by', async () => {
  const { headers } = await server.browser().get('/healthz').expect(200)
  expect(headers['content-security-policy']).toContain("script-src 'self';")
  expect(headers['referrer-policy']).toBe('no-referrer')
  expect(headers['x-powered-by']).toBeUndefined()
})

it('serves the documents’ JSON Schemas', async () => {
  const { body } = await server.browser().get('/schemas/workout.json').expect(200)
  expect(body.properties.groups.maxItems).toBe(6)
  expect(body.additionalProperties).toBe(false)
  await server.browser().get('/schemas/secret.json').expect(400)
})

it('answers every code with its status and a problem document that fits its schema', () => {
  for (const code of Object.keys(errorStatus) as (keyof typeof errorStatus)[]) {
    const document = problemDocument(new ServerError(code, [{ code: problemCodes[0], path: ['x'] }]), 'r1')
    expect(problemDocumentSchema.parse(document)).toMatchObject({ status: errorStatus[code], code })
  }
  expect(toServerError(new Error('boom')).code).toBe('unexpected')
  expect(toServerError(Object.assign(new Error('x'), { code: '57P01' })).code).toBe('database-away')
  expect(isDatabaseAway(new AggregateError([Object.assign(new Error('x'), { code: 'ECONNREFUSED' })]))).toBe(true)
  // How a primary that has just handed over the lead answers a write.
  expect(isDatabaseAway(Object.assign(new Error('read-only transaction'), { code: '25006' }))).toBe(true)
  expect(isDatabaseAway(Object.assign(new Error('duplicate'), { code: '23505' }))).toBe(false)
})

it('reads its configuration once, and names what is wrong with it', () => {
  expect(() => readConfig({ SECRET: 'short', PORT: '99999' })).toThrow(/DATABASE_URL.*SECRET.*PORT/s)
  expect(readConfig({ DATABASE_URL: 'postgres://x', SECRET: 's'.repeat(32) })).toMatchObject({
    port: 4180,
    demo: false,
    host: '127.0.0.1',
  })
})

it('fills an empty database with the demo, once', async () => {
  await server.db.raw('truncate teachers, snapshots cascade')
  await addDemo(server.db, library, 's'.repeat(40), new Date())
  await addDemo(server.db, library, 's'.repeat(40), new Date())
  const agent = server.browser()
  await agent.post('/api/session').send(demoSignIn).expect(200)
  const { workouts: sessions } = (await agent.get('/api/workouts')).body
  expect(sessions.filter((w: { sentAt: string | null }) => w.sentAt)).toHaveLength(15)
  expect(sessions).toHaveLength(20)
  const { runs, total } = (await agent.get('/api/runs')).body
  expect(total).toBeGreaterThan(60)
  expect(Math.max(...runs.map((r: { receivedAt: string }) => Date.parse(r.receivedAt)))).toBeLessThanOrEqual(Date.now())
})

it('a try is counted by the network of its address', () => {
  expect(networkOf('192.0.2.7')).toBe('192.0.2.7')
  expect(networkOf('::ffff:192.0.2.7')).toBe('192.0.2.7')
  expect(networkOf('2001:db8:1:2:3:4:5:6')).toBe('2001:db8:1:2')
  expect(networkOf('2001:db8::6')).toBe('2001:db8:0:0')
  expect(networkOf('2001:db8:0:0:ffff::1')).toBe(networkOf('2001:db8::6'))
})

it('a database error is logged by its place, without personal text', () => {
  const error = Object.assign(new Error('invalid input syntax: "what a child wrote"'), {
    code: '22P05',
    routine: 'json_errsave_error',
    where: 'JSON data, line 1: what a child wrote',
  })
  const logged = JSON.stringify(loggedError(error))
  expect(logged).not.toContain('a child wrote')
  expect(logged).toContain('22P05')
})
