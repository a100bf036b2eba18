import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Writable } from 'node:stream'
import { strFromU8, unzipSync } from 'fflate'
import pg from 'pg'
import supertest from 'supertest'
import { inject } from 'vitest'
import { cellsFor } from '../../../core/src/library/cellsFor.ts'
import {
  addStation,
  copyOfMove,
  indexLibrary,
  newSession,
  type Library,
  type OwnMove,
  type Session,
} from '@esfuerzo/core'
import { publish } from '@esfuerzo/core/publication'
import { type Run } from '@esfuerzo/core/run'
import type { PublicationInfo, Teacher } from '@esfuerzo/contract'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import { randomUUID } from 'node:crypto'
import { hashPassword } from '../../src/accounts/password.ts'
import { addTeacher } from '../../src/accounts/store.ts'
import { createApp, type AppParts } from '../../src/app.ts'
import { openDatabase } from '../../src/base/database.ts'
import { prepareDatabase } from '../../src/prepareDatabase.ts'
import { patience } from '../../../scripts/patience.mjs'
import { openDeletions } from '../../src/deletions/deletions.ts'
import { listenForGone, type Gone } from '../../src/gone/gone.ts'
import { openHealth } from '../../src/http/health.ts'
import { Afterwards } from '../../src/http/afterwards.ts'
import { openLog } from '../../src/http/logging.ts'
import { openOutbox } from '../../src/mail/outbox.ts'
import { outboxKey } from '../../src/mail/routes.ts'
import { ResultWriter } from '../../src/results/resultWriter.ts'
import { openJobPool } from '../../src/workers/jobPool.ts'
import { defaultLimits, type Limits } from '../../src/http/limits.ts'

export const library: Library = indexLibrary({ ...libraryData, words: libraryWords })
export const origin = 'http://esfuerzo.test'
const passwordHash = hashPassword('correct horse')

/** All test servers share their workers, which take a second to start. */
export const jobPool = openJobPool(30 * patience)

/**
 * A server on the tests' database, emptied first, with everything it logged.
 *
 * @param proxy treat the tests as a proxy, whose header says where a request comes from
 */
export async function testServer(
  limits: Limits = defaultLimits,
  { proxy = false, ...instead }: Partial<AppParts> & { proxy?: boolean } = {},
) {
  const url = inject('databaseUrl')
  const secret = 's'.repeat(40)
  await prepareDatabase({ databaseUrl: url, demo: false, secret }, library)
  const db = openDatabase(url)
  const pool = new pg.Pool({ connectionString: url, max: 3 })
  await db.raw('truncate teachers, snapshots, sign_ins, limits cascade')
  const folder = await mkdtemp(join(tmpdir(), 'esfuerzo-outbox-'))
  const outbox = openOutbox(folder)
  const deletionsFile = join(folder, 'deletions.jsonl')
  const logged: string[] = []
  const log = openLog('debug', new Writable({ write: (line, _, done) => (logged.push(String(line)), done()) }))
  const gone = await listenForGone(url, log)
  const resultWriter = new ResultWriter(db, log)
  const parts = {
    config: { secret, publicOrigin: origin, trustProxy: proxy ? ['loopback'] : [], pagesAt: origin },
    db,
    health: openHealth(url),
    pool,
    library,
    log,
    post: outbox,
    outbox,
    afterwards: new Afterwards(log),
    deletions: openDeletions(deletionsFile),
    gone,
    jobPool,
    resultWriter,
    limits,
    ...instead,
  }
  const app = createApp(parts)
  // One listening socket for all requests, as in production.
  const server = app.listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))

  /** A second server on the same database. @param hears receives deletion notices in another way than from the database */
  const another = async (hears?: Gone) => {
    const heard = hears ?? (await listenForGone(url, log))
    const beside = createApp({ ...parts, gone: heard }).listen(0, '127.0.0.1')
    await new Promise((resolve) => beside.once('listening', resolve))
    return {
      browser: () => supertest.agent(beside).set('Origin', origin),
      close: () => Promise.all([new Promise((resolve) => beside.close(resolve)), heard.close()]),
    }
  }
  const browser = () => supertest.agent(server).set('Origin', origin)
  const newTeacher = async (email: string) => {
    const who: Teacher = { id: randomUUID(), email, name: 'Test' }
    await addTeacher(db, who, 'Atlantic/Azores', await passwordHash)
  }
  const teacher = async (email: string) => {
    await newTeacher(email)
    const agent = browser()
    await agent.post('/api/session').send({ email, password: 'correct horse' }).expect(200)
    return agent
  }
  return {
    app,
    db,
    log,
    gone,
    health: parts.health,
    limits,
    another,
    /** Sends the messages that go out after an answer. */
    flush: () => parts.afterwards.flush(),
    server,
    logged,
    outbox,
    outboxKey: outboxKey(secret),
    deletions: parts.deletions,
    deletionsFile,
    browser,
    addTeacher: newTeacher,
    teacher,
    close: async () => {
      await new Promise((resolve) => server.close(resolve))
      await Promise.all([parts.afterwards.flush(), resultWriter.close()])
      await Promise.all([db.destroy(), pool.end(), gone.close(), parts.health.close(), rm(folder, { recursive: true })])
    },
  }
}
/** A squat of a teacher's own. */
export const ownSquat = (): OwnMove => copyOfMove(library.moves.get('squat')!, 'own-squat', 'Limpet squat')

export type TestServer = Awaited<ReturnType<typeof testServer>>
export type Agent = ReturnType<TestServer['browser']>

/** A session of two groups with one station that records reps. */
export function smallSession(title = 'Springs'): Session {
  const empty = newSession(
    title,
    [
      [0, 1],
      [4, 5],
    ],
    20,
    library.version,
  )
  const session = addStation(empty, 'b2', cellsFor(library.moves.get('pogo')!, empty.groups, 'intervals'))
  return { ...session, sections: session.sections.map((s) => ({ ...s, note: 'only for me' })) }
}

/** Creates a session and sends it home. */
export async function sentSession(agent: Agent, session = smallSession()) {
  const { body: saved } = await agent.post('/api/workouts').send({ document: session }).expect(200)
  const { body: publication } = (await agent
    .post(`/api/workouts/${saved.id}/publications`)
    .send({ revision: 1, days: 7 })
    .expect(200)) as { body: PublicationInfo }
  return { workoutId: saved.id as string, publication }
}

/** A child's run of {@link smallSession}. */
export const runOf = (publication: PublicationInfo, more: Partial<Run> = {}): Run => ({
  format: 'esfuerzo.run',
  version: 3,
  id: randomUUID(),
  publication: publication.sha256,
  group: 'g1',
  startedAt: '2026-03-01T10:00:00.000Z',
  finishedAt: '2026-03-01T10:20:00.000Z',
  zone: 'Atlantic/Azores',
  steps: { done: 3, skipped: 0, easier: 0 },
  felt: { scale: 'faces', value: 4 },
  results: [{ block: 'b2', station: 's1', lap: 1, value: 14, unit: 'reps' }],
  ...more,
})

/** What a teacher exports, by the file's name. */
export async function exportOf(agent: Agent): Promise<Record<string, string>> {
  const answer = await agent
    .get('/api/export')
    .buffer(true)
    .parse((res, done) => {
      const chunks: Buffer[] = []
      res.on('data', (c: Buffer) => chunks.push(c))
      res.on('end', () => done(null, Buffer.concat(chunks)))
    })
    .expect(200)
  const files = unzipSync(new Uint8Array(answer.body as Buffer))
  return Object.fromEntries(Object.entries(files).map(([name, data]) => [name, strFromU8(data)]))
}

export const published = () => publish(smallSession(), library)
