import { readdirSync, readFileSync } from 'node:fs'
import { inject, it, expect } from 'vitest'
import pg from 'pg'
import { pino } from 'pino'
import supertest from 'supertest'
import { randomUUID } from 'node:crypto'
import { readSession, type Session } from '@esfuerzo/core'
import { type Publication } from '@esfuerzo/core/publication'
import { type Run } from '@esfuerzo/core/run'
import { migrations } from '../migrations/index.ts'
import { hashPassword } from '../src/accounts/password.ts'
import { createApp } from '../src/app.ts'
import { migrateDatabase, openDatabase } from '../src/base/database.ts'
import { listenForGone } from '../src/gone/gone.ts'
import { defaultLimits } from '../src/http/limits.ts'
import { linkToken, tokenHash } from '../src/http/linkToken.ts'
import { openHealth } from '../src/http/health.ts'
import { Afterwards } from '../src/http/afterwards.ts'
import { noPost } from '../src/mail/post.ts'
import { ResultWriter } from '../src/results/resultWriter.ts'
import { library, origin, jobPool } from './support/testServer.ts'

const folder = new URL('../../core/test/fixtures/version-1/', import.meta.url)
const documents = Object.fromEntries(
  readdirSync(folder).map((file) => [
    file.replace('.json', ''),
    JSON.parse(readFileSync(new URL(file, folder), 'utf8')) as never,
  ]),
) as unknown as {
  session: Session
  publication: Publication
  run: Run
  settings: object
  moves: { moves: object[] }
} & Record<string, object>

/** The last migration of the previous release. */
const before = '004-classes'
const secret = 's'.repeat(40)

it('a full database of the previous release is migrated, and everything in it opens, plays and is listed', async () => {
  const admin = openDatabase(inject('databaseUrl'))
  await admin.raw('drop database if exists esfuerzo_before')
  await admin.raw('create database esfuerzo_before')
  await admin.destroy()
  const url = inject('databaseUrl').replace(/\/[^/]*$/, '/esfuerzo_before')
  const db = openDatabase(url)
  const then = migrations.slice(0, migrations.findIndex((m) => m.name === before) + 1)
  await db.migrate.latest({
    migrationSource: {
      getMigrations: async () => [...then],
      getMigrationName: (m: (typeof then)[number]) => m.name,
      getMigration: async (m: (typeof then)[number]) => m.migration,
    },
  })

  const [teacher, workout, publication, part] = [randomUUID(), randomUUID(), randomUUID(), randomUUID()]
  const email = 'before@island.example'
  const token = linkToken('publication', publication, secret)
  const body = JSON.stringify(documents.publication)
  const sha256 = 'a'.repeat(64)
  const { session } = documents
  await db('teachers').insert({
    id: teacher,
    email,
    name: 'Before',
    password_hash: await hashPassword('correct horse'),
    zone: 'Atlantic/Azores',
    settings: JSON.stringify(documents.settings),
  })
  const document = JSON.stringify(session)
  await db('workouts').insert({
    id: workout,
    teacher_id: teacher,
    title: session.title,
    minutes: session.minutes,
    document,
  })
  await db('workout_versions').insert({ id: randomUUID(), workout_id: workout, document, reason: 'published' })
  await db('snapshots').insert({ sha256, body })
  const ends_at = new Date(Date.now() + 1e9)
  await db('publications').insert({
    id: publication,
    teacher_id: teacher,
    workout_id: workout,
    sha256,
    token_hash: tokenHash(token),
    title: session.title,
    ends_at,
  })
  const { run } = documents
  await db('runs').insert({
    publication_id: publication,
    id: run.id,
    group_id: run.group,
    started_at: run.startedAt,
    finished_at: run.finishedAt,
    zone: run.zone,
    document: JSON.stringify(run),
  })
  await db('shelf').insert({
    id: part,
    teacher_id: teacher,
    name: 'Circuit',
    part: JSON.stringify(documents['part-section']),
  })
  await db('copies').insert({ id: randomUUID(), teacher_id: teacher, token_hash: tokenHash('copy'), document, ends_at })
  const [own] = documents.moves.moves as { move: { id: string } }[]
  await db('own_moves').insert({ teacher_id: teacher, id: own!.move.id, document: JSON.stringify(own) })

  // A zone unknown to PostgreSQL, and a run by a clock that was never set.
  const odd = randomUUID()
  await db('teachers').insert({ id: odd, email: 'odd@island.example', name: 'Odd', password_hash: '', zone: 'Foo/Bar' })
  const late = {
    ...run,
    id: randomUUID(),
    startedAt: '2999-01-01T00:00:00.000Z',
    finishedAt: '2999-01-01T00:10:00.000Z',
  }
  await db('runs').insert({
    publication_id: publication,
    id: late.id,
    group_id: late.group,
    started_at: late.startedAt,
    finished_at: late.finishedAt,
    zone: 'UTC',
    document: JSON.stringify(late),
  })

  await migrateDatabase(db)
  expect(await db('teachers').where({ id: odd }).first('zone', 'unknown_zone')).toEqual({
    zone: 'UTC',
    unknown_zone: 'Foo/Bar',
  })
  expect(await db('teachers').where({ id: teacher }).first('unknown_zone')).toEqual({ unknown_zone: null })
  const { finished_at: moved } = await db('runs').where({ id: late.id }).first('finished_at')
  expect(Math.abs(moved.getTime() - Date.now())).toBeLessThan(600_000)
  await db('runs').where({ id: late.id }).delete()
  const pool = new pg.Pool({ connectionString: url, max: 2 })
  const log = pino({ level: 'silent' })
  const health = openHealth(url)
  const gone = await listenForGone(url, log)
  const app = createApp({
    config: { secret, publicOrigin: origin, trustProxy: [], pagesAt: origin },
    db,
    health,
    pool,
    library,
    log,
    gone,
    jobPool,
    resultWriter: new ResultWriter(db, pino({ level: 'silent' })),
    post: noPost,
    afterwards: new Afterwards(log),
    deletions: { note: async () => {} },
    limits: defaultLimits,
  })
  const server = app.listen(0, '127.0.0.1')
  const hers = supertest.agent(server).set('Origin', origin)
  await hers.post('/api/session').send({ email, password: 'correct horse' }).expect(200)

  const opened = (await hers.get(`/api/workouts/${workout}`).expect(200)).body
  expect(readSession(opened.document)).toEqual(readSession(session))
  const saved = await hers.put(`/api/workouts/${workout}`).send({ revision: 1, document: opened.document })
  expect(saved.status).toBe(200)
  expect((await hers.get('/api/settings').expect(200)).body).toEqual({
    ...documents.settings,
    version: 2,
    readings: {},
  })
  expect((await hers.get('/api/moves').expect(200)).body.moves).toEqual([own])
  expect((await hers.get('/api/shelf').expect(200)).body.parts[0].part).toEqual(documents['part-section'])
  expect((await hers.get(`/api/workouts/${workout}/last-sent`).expect(200)).body.document).toEqual(session)
  expect((await hers.get(`/api/workouts/${workout}/versions`).expect(200)).body.versions.length).toBeGreaterThan(0)
  const { runs, total } = (await hers.get('/api/runs').expect(200)).body
  expect(total).toBe(1)
  expect(runs[0].run).toEqual({ ...run, version: 2 })

  // A family continues where it was.
  expect((await supertest(server).get(`/api/go/${token}`).expect(200)).body.sha256).toBe(sha256)
  expect((await supertest(server).get(`/snapshots/${sha256}`).expect(200)).body).toEqual(documents.publication)
  const sheet = await supertest(server).get(`/api/go/${token}/sheets/session`).expect(200)
  expect(sheet.headers['content-type']).toContain('pdf')
  const fresh = { ...run, id: randomUUID(), publication: sha256 }
  await supertest(server).post(`/api/go/${token}/runs`).set('Origin', origin).send(fresh).expect(200)
  await new Promise((resolve) => server.close(resolve))
  await Promise.all([db.destroy(), pool.end(), gone.close(), health.close()])
})
