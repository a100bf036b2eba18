import { mkdtemp, mkdir, rm, writeFile } from 'node:fs/promises'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Knex } from 'knex'
import pg from 'pg'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { isDatabaseAway, openDatabase } from '../src/base/database.ts'
import { publicationRoom } from '../src/publications/store.ts'
import { defaultLimits } from '../src/http/limits.ts'
import { toServerError } from '../src/http/serverError.ts'
import { runRoom } from '../src/runs/store.ts'
import { cleanUp } from '../src/cleanup/cleanUp.ts'
import { namedRoom } from '../src/documents/keptRevisions.ts'
import { sessionRoom, sessions } from '../src/sessions/store.ts'
import {
  ownSquat,
  runOf,
  sentSession,
  smallSession,
  testServer,
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

const teacherId = async () =>
  ((await server.db('teachers').where({ email: 'own@island.example' }).first('id')) as { id: string }).id

describe('while the database is slow', () => {
  it('a locked table gives a clear answer, and affects neither other links nor the health check', async () => {
    const { publication, workoutId: sessionId } = await sentSession(own)
    const before = server.logged.length
    const holder = await server.db.transaction()
    await holder.raw('lock table workouts in access exclusive mode')
    const saves = Array.from({ length: 12 }, () =>
      own.put(`/api/workouts/${sessionId}`).send({ revision: 1, document: smallSession() }),
    )
    const link = server.browser().get(`/api/go/${publication.token}`)
    const health = server.browser().get('/healthz')
    expect((await health).body).toEqual({ status: 'ok', database: 'ok', storage: 'ok' })
    expect((await link).status).toBe(200)
    const answers = await Promise.all(saves)
    await holder.rollback()
    expect(new Set(answers.map((a) => a.body.code))).toEqual(new Set(['database-away']))
    // Twelve answers make a line or two in the log, without a stack trace.
    const lines = server.logged.slice(before).filter((line) => line.includes('"level":50'))
    expect(lines.length).toBeLessThanOrEqual(2)
    expect(lines.join().length).toBeLessThan(1000)
    await own
      .put(`/api/workouts/${sessionId}`)
      .send({ revision: 1, document: smallSession('After') })
      .expect(200)
  })

  it('a save and a migration that deadlock are not an error: the save is told to retry', async () => {
    const { workoutId: sessionId } = await sentSession(own)
    const holder = await server.db.transaction()
    // The one that waits first is ended: the save, after a second.
    await holder.raw("set local deadlock_timeout = '20s'")
    await holder.raw('lock table workout_versions in access exclusive mode')
    const put = () => own.put(`/api/workouts/${sessionId}`).send({ revision: 1, document: smallSession('Between') })
    const save = put().then((answer) => answer)
    const waiting = async () =>
      (await server.db.raw("select 1 from pg_locks where not granted and relation = 'workout_versions'::regclass")).rows
    while ((await waiting()).length === 0) await new Promise((resolve) => setTimeout(resolve, 10))
    await holder.raw('lock table workouts in access exclusive mode')
    const answer = await save
    await holder.rollback()
    expect([answer.status, answer.body.code]).toEqual([503, 'database-away'])
    await put().expect(200)
  })

  it('a connection that timed out is never used again: its transaction may be open', async () => {
    const url = inject('databaseUrl')
    const late = openDatabase(url, undefined, 'bound', 300)
    const pidOf = async (db: Knex) =>
      ((await db.raw('select pg_backend_pid() as pid')) as { rows: { pid: number }[] }).rows[0]!.pid
    let before = 0
    const work = late.transaction(async (trx) => {
      before = await pidOf(trx)
      await trx.raw('select pg_sleep(3)')
    })
    await expect(work).rejects.toSatisfy(isDatabaseAway)
    const after = await Promise.all([pidOf(late), pidOf(late), pidOf(late)])
    expect(before).toBeGreaterThan(0)
    expect(after).not.toContain(before)
    await late.destroy()
  })

  it('a sign-in for which no connection is left is not a server error', async () => {
    const pool = new pg.Pool({ connectionString: inject('databaseUrl'), max: 1, connectionTimeoutMillis: 200 })
    const narrow = await testServer(defaultLimits, { pool })
    const agent = await narrow.teacher('narrow@island.example')
    const held = await pool.connect()
    const answer = await agent.get('/api/me')
    held.release()
    expect([answer.status, answer.body.code]).toEqual([503, 'database-away'])
    await agent.get('/api/me').expect(200)
    await narrow.close()
    await pool.end()
    own = await server.teacher('own@island.example')
  })

  it('requests without a database do not fill the log', async () => {
    const door = createServer((socket) => socket.destroy()).listen(0, '127.0.0.1')
    await new Promise((resolve) => door.once('listening', resolve))
    const lines: string[] = []
    const log = pino({ level: 'info' }, { write: (line: string) => void lines.push(line) })
    const { port } = door.address() as AddressInfo
    const db = openDatabase(`postgres://nobody@127.0.0.1:${port}/nothing`, log)
    for (let i = 0; i < 5; i++) await expect(db.raw('select 1')).rejects.toSatisfy(isDatabaseAway)
    expect(lines).toEqual([])
    await db.destroy()
    await new Promise((resolve) => door.close(resolve))
  })

  it('a full disk is reported: by the answer and the health check, until it is over', async () => {
    const full = Object.assign(new Error('could not extend file'), { code: '53100' })
    expect(toServerError(full).code).toBe('storage-full')
    expect(toServerError(Object.assign(new Error('no space'), { code: 'ENOSPC' })).code).toBe('storage-full')
    server.health.metFullStorage()
    const { status, body } = await server.browser().get('/healthz')
    expect([status, body.storage]).toEqual([503, 'full'])
    const fresh = await testServer()
    expect((await fresh.browser().get('/healthz')).status).toBe(200)
    await fresh.close()
    own = await server.teacher('own@island.example')
  })
})

it('runs that find no room are told so, and use up nothing of what a class may send', async () => {
  const small = await testServer({ ...defaultLimits, runs: { points: 3, seconds: 60 } })
  const teacher = await small.teacher('full@island.example')
  const { publication } = await sentSession(teacher)
  const send = () => small.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication))
  await small.db.raw(
    "create function no_room() returns trigger as $$ begin raise exception 'no room' using errcode = '53100'; end $$ language plpgsql",
  )
  await small.db.raw('create trigger no_room before insert on runs for each row execute function no_room()')
  try {
    for (let i = 0; i < 5; i++) expect((await send()).body).toMatchObject({ status: 503, code: 'storage-full' })
  } finally {
    await small.db.raw('drop trigger no_room on runs')
    await small.db.raw('drop function no_room')
  }
  const after = [await send(), await send(), await send(), await send()]
  expect(after.map((answer) => answer.status)).toEqual([200, 200, 200, 429])
  await small.close()
  own = await server.teacher('own@island.example')
})

describe('input that no database accepts', () => {
  it.each<
    [string, () => Promise<{ status: number; body: { problems?: { path: (string | number)[] }[] } }>, string | number]
  >([
    [
      'a revision beyond the database’s numbers',
      async () =>
        own
          .put(`/api/workouts/${(await sentSession(own)).workoutId}`)
          .send({ revision: 2 ** 31, document: smallSession() }),
      'revision',
    ],
    ['NUL in a sign-in', () => server.browser().post('/api/session').send({ email: 'a\0b', password: 'x' }), 'email'],
    [
      'a run of the year 0',
      async () => {
        const { publication } = await sentSession(own)
        return server
          .browser()
          .post(`/api/go/${publication.token}/runs`)
          .send(runOf(publication, { startedAt: '0000-01-01T00:00:00Z' }))
      },
      'startedAt',
    ],
    ['a page’s mark that is no moment', () => own.get(`/api/runs?before=9999-99-99T99:99Z~${'a'.repeat(36)}`), 'query'],
  ])('%s is refused by name', async (_, send, field) => {
    const { status, body } = await send()
    expect([status, body.problems?.[0]?.path[0]]).toEqual([400, field])
  })

  it('in a cue of one’s own is removed', async () => {
    const move = ownSquat()
    move.move.cues = ['Knees\0 out\ud800\u001b']
    const { body } = await own
      .post('/api/moves')
      .send({ format: 'esfuerzo.moves', version: 1, moves: [move] })
      .expect(200)
    expect(body.moves[0].move.cues).toEqual(['Knees out'])
  })
})

describe('limits', () => {
  it('of sessions, their named revisions and links are enforced and explained', async () => {
    const { workoutId: sessionId } = await sentSession(own)
    const id = await teacherId()
    const name = (n: number) => own.post(`/api/workouts/${sessionId}/versions`).send({ name: `Name ${n}` })
    await server.db.raw(
      `insert into workout_versions (id, workout_id, document, name)
       select gen_random_uuid(), ?, '{}', 'n' from generate_series(1, ?)`,
      [sessionId, namedRoom],
    )
    expect((await name(1)).body.detail).toContain(`at most ${namedRoom} named versions of a session`)
    await server.db.raw(
      `insert into workouts (id, teacher_id, title, minutes, document)
       select gen_random_uuid(), ?, 'x', 20, '{}' from generate_series(1, ?)`,
      [id, sessionRoom],
    )
    const refused = await own.post('/api/workouts').send({ document: smallSession() })
    expect([refused.status, refused.body.problems[0].code]).toEqual([400, 'too-many'])
    await server.db('workouts').where({ title: 'x' }).delete()
    await server.db.raw(
      `insert into publications (id, teacher_id, workout_id, sha256, token_hash, title, ends_at)
       select gen_random_uuid(), teacher_id, workout_id, sha256, 'h' || n, 'x', now()
       from publications, generate_series(1, ?) n where workout_id = ? limit ?`,
      [publicationRoom.links, sessionId, publicationRoom.links],
    )
    const full = await own.post(`/api/workouts/${sessionId}/publications`).send({ revision: 1, days: 7 })
    expect(full.body.problems[0].code).toBe('too-many')
    await server.db('publications').where({ title: 'x' }).delete()
  })

  it('of a link’s runs: a stranger fills no table, and an existing run is still acknowledged', async () => {
    const { publication } = await sentSession(own)
    const first = runOf(publication)
    const send = (run = runOf(publication)) => server.browser().post(`/api/go/${publication.token}/runs`).send(run)
    await send(first).expect(200)
    await server.db.raw(
      `insert into runs select publication_id, gen_random_uuid(), group_id, started_at, finished_at, zone, received_at, document
       from runs, generate_series(2, ?) where publication_id = ?`,
      [runRoom, publication.id],
    )
    expect((await send()).status).toBe(429)
    await send(first).expect(200)
  })
})

it('expired data is deleted automatically; a class’s results stay', async () => {
  const fresh = await testServer()
  const her = await fresh.teacher('tidy@island.example')
  const { publication, workoutId: sessionId } = await sentSession(her)
  await fresh.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication)).expect(200)
  await her.post(`/api/workouts/${sessionId}/copies`).send({}).expect(200)
  const past = new Date(Date.now() - 1000)
  await fresh.db('copies').update({ ends_at: past })
  await fresh.db('publications').update({ ends_at: past })
  await fresh.db('sign_ins').insert({ sid: 'old', sess: '{}', expire: past })
  await fresh.db('limits').insert({ key: 'old', points: 1, expire: past.getTime() })
  await fresh.db('mailed_links').insert({ token_hash: 'old', email: 'x@island.example', ends_at: past })
  await fresh.db('snapshots').insert({ sha256: 'a'.repeat(64), body: '{}' })
  const [one, two] = await Promise.all([cleanUp(fresh.db, fresh.deletions), cleanUp(fresh.db, fresh.deletions)])
  expect(one ?? two).toMatchObject({
    gone: { sign_ins: 1, mailed_links: 1, copies: 1, workouts: 0, snapshots: 1 },
    failed: [],
  })
  expect(await fresh.db('runs')).toHaveLength(1)
  expect(await fresh.db('limits').where({ key: 'old' })).toEqual([])
  await her.get('/api/me').expect(200)
  await fresh.close()
  own = await server.teacher('own@island.example')
})

it('with a clock set back, revisions are in order of saving, and what was sent is unchanged', async () => {
  const id = '00000000-0000-4000-8000-000000000001'
  await sessions.add(server.db, await teacherId(), id, smallSession('Before'), new Date(Date.now() + 3 * 86_400_000))
  let revision = 1
  const save = async (title: string) => {
    await own
      .put(`/api/workouts/${id}`)
      .send({ revision, document: smallSession(title) })
      .expect(200)
    revision++
  }
  for (const title of ['First', 'Second', 'Third']) await save(title)
  const titles = async () =>
    (await own.get(`/api/workouts/${id}/versions`)).body.versions.map((v: { title: string }) => v.title)
  expect(await titles()).toEqual(['Third', 'Before'])
  await own.post(`/api/workouts/${id}/publications`).send({ revision, days: 7 }).expect(200)
  await save('After')
  expect((await own.get(`/api/workouts/${id}/last-sent`)).body.document.title).toBe('Third')
  expect(await titles()).toEqual(['After', 'Third', 'Before'])
})

it('a missing file of the pages gets an error, and not a page in its place', async () => {
  const pages = await mkdtemp(join(tmpdir(), 'esfuerzo-pages-'))
  for (const name of ['teacher', 'family']) {
    await mkdir(join(pages, name, 'assets'), { recursive: true })
    await writeFile(join(pages, name, 'index.html'), `<!doctype html><title>${name}</title>`)
  }
  await writeFile(join(pages, 'family', 'workbox-1.js'), '//')
  const served = await testServer(defaultLimits, { pages })
  const get = (path: string) => served.browser().get(path)
  for (const path of [
    '/go/assets/old-1.js',
    '/assets/old-1.js',
    '/go/workbox-old.js',
    '/go/sw.js',
    '/snapshots/x/y',
    '/api/none',
  ])
    expect([path, (await get(path)).status, (await get(path)).type]).toEqual([path, 404, 'application/problem+json'])
  expect((await get('/go/workbox-1.js')).status).toBe(200)
  for (const path of ['/go', '/go/', '/go/AAAAAAAAAAAAAAAAAAAAAA', '/go/AAAAAAAAAAAAAAAAAAAAAA/run'])
    expect([path, (await get(path)).text]).toEqual([path, '<!doctype html><title>family</title>'])
  for (const path of ['/', '/sessions/1', '/gone', '/sign-in/AAAAAAAAAAAAAAAAAAAAAA'])
    expect([path, (await get(path)).text]).toEqual([path, '<!doctype html><title>teacher</title>'])
  await served.close()
  await rm(pages, { recursive: true })
})
