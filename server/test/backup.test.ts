import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, inject, it } from 'vitest'
import type { Knex } from 'knex'
import { contents } from '../../faults/contents.ts'
import { readBackup, writeBackup } from '../../scripts/backupFile.mjs'
import { needAge } from '../../scripts/machine.mjs'
import { testCluster } from '../../scripts/testCluster.mjs'
import { newTerm } from '@esfuerzo/core/term'
import { rekey } from '../src/backup/rekey.ts'
import { rekeyLinks } from '../src/backup/rekeyLinks.ts'
import { openDatabase } from '../src/base/database.ts'
import { cleanUp } from '../src/cleanup/cleanUp.ts'
import { addDemo } from '../src/demo/addDemo.ts'
import { readDeletions } from '../src/deletions/deletions.ts'
import { repeatDeletions } from '../src/backup/repeatDeletions.ts'
import { linkToken, tokenHash } from '../src/http/linkToken.ts'
import { library, runOf, sentSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

let server: TestServer
let folder: string
let cluster: Awaited<ReturnType<typeof testCluster>>
const secret = 's'.repeat(40)

beforeAll(async () => {
  server = await testServer()
  folder = await mkdtemp(join(tmpdir(), 'esfuerzo-backup-'))
  cluster = await testCluster('restored')
  await addDemo(server.db, library, secret, new Date())
})
afterAll(async () => {
  await cluster.stop('immediate')
  await rm(folder, { recursive: true })
  await server.close()
})

async function emptyDatabase(name: string): Promise<{ db: Knex; url: string }> {
  await cluster.create(name)
  return { db: openDatabase(cluster.url(name)), url: cluster.url(name) }
}

it('a backup restored into an empty cluster has every table, equal by count and by hash', async () => {
  const file = join(folder, 'plain.backup')
  await writeBackup(inject('databaseUrl'), file)
  const { db, url } = await emptyDatabase('plain')
  await readBackup(url, file)
  const before = await contents(server.db)
  expect(Object.keys(before).length).toBeGreaterThan(10)
  expect(Number(before.runs!.split(' ')[0])).toBeGreaterThan(60)
  expect(await contents(db)).toEqual(before)
  // An existing database is not overwritten.
  await expect(readBackup(url, file)).rejects.toThrow('not empty')
  expect(await contents(db)).toEqual(before)
  expect(await rekeyLinks(db, secret, new Date())).toEqual([])
  // The secret for links and codes is in no table.
  for (const table of Object.keys(before)) {
    const rows = await db.raw('select count(*) from ?? as row_ where row_::text like ?', [table, `%${secret}%`])
    expect([table, (rows as { rows: { count: string }[] }).rows[0]!.count]).toEqual([table, '0'])
  }
  await db.destroy()
})

it('an encrypted backup reveals nothing without the key, and everything with it', async () => {
  needAge()
  const identity = join(folder, 'key')
  execFileSync('age-keygen', ['-o', identity], { stdio: 'ignore' })
  const recipient = /age1\w+/.exec(readFileSync(identity, 'utf8'))![0]
  const file = join(folder, 'secret.backup')
  await writeBackup(inject('databaseUrl'), file, recipient)
  const bytes = readFileSync(file)
  expect(bytes.subarray(0, 21).toString()).toBe('age-encryption.org/v1')
  expect(bytes.includes('marisol')).toBe(false)
  const { db, url } = await emptyDatabase('secret')
  await expect(readBackup(url, file)).rejects.toThrow('--identity')
  const other = join(folder, 'other')
  execFileSync('age-keygen', ['-o', other], { stdio: 'ignore' })
  await expect(readBackup(url, file, other)).rejects.toThrow('age')
  expect(await contents(db)).toEqual({})
  await readBackup(url, file, identity)
  expect(await contents(db)).toEqual(await contents(server.db))
  await db.destroy()
})

it('leaves no partial file if the database cannot be read', async () => {
  const file = join(folder, 'never.backup')
  await expect(writeBackup(cluster.url('nobody_made_this'), file)).rejects.toThrow('nobody_made_this')
  expect(existsSync(file)).toBe(false)
  expect(existsSync(`${file}.partial`)).toBe(false)
  const broken = join(folder, 'broken.backup')
  writeFileSync(broken, 'PGDMP and then nothing')
  const { db, url } = await emptyDatabase('broken')
  await expect(readBackup(url, broken)).rejects.toThrow('pg_restore')
  expect(await contents(db)).toEqual({})
  await db.destroy()
})

it('deletions after the backup are repeated, and links of another secret get new tokens', async () => {
  const leaves = await server.teacher('leaves@island.example')
  const stays = await server.teacher('stays@island.example')
  await sentSession(leaves)
  const gone = await sentSession(stays)
  const kept = await sentSession(stays)
  await server.browser().post(`/api/go/${gone.publication.token}/runs`).send(runOf(gone.publication)).expect(200)
  const class_ = (
    await stays
      .post('/api/classes')
      .send({ name: '2b', grades: [2] })
      .expect(200)
  ).body.id
  const file = join(folder, 'before.backup')
  await writeBackup(inject('databaseUrl'), file)

  await leaves.post('/api/me/delete').send({ password: 'correct horse' }).expect(200)
  await stays.delete(`/api/workouts/${gone.workoutId}`).expect(200)
  await stays.delete(`/api/bin/${gone.workoutId}`).expect(200)
  await stays.delete(`/api/classes/${class_}`).expect(200)
  await server
    .db('classes')
    .where({ id: class_ })
    .update({ removed_at: server.db.raw("now() - interval '8 days'") })
  await cleanUp(server.db, server.deletions)
  const { deletions, unread } = await readDeletions(server.deletionsFile)
  expect(unread).toEqual([])
  expect(deletions.map((d) => d.what)).toEqual(['account', 'session', 'class-removed', 'class'])
  expect(readFileSync(server.deletionsFile, 'utf8')).not.toContain('island.example')

  const { db, url } = await emptyDatabase('deletions')
  await readBackup(url, file)
  expect(await db('teachers').where({ email: 'leaves@island.example' })).toHaveLength(1)
  expect(await repeatDeletions(db, deletions)).toEqual({ again: 4, failed: [] })
  expect(await repeatDeletions(db, deletions)).toEqual({ again: 0, failed: [] })
  const after = await contents(server.db)
  // Sign-ins, counters and events have changed meanwhile.
  const { sign_ins: _a, limits: _c, events: _e, ...restored } = await contents(db)
  const { sign_ins: _b, limits: _d, events: _f, ...now } = after
  expect(restored).toEqual(now)

  // The installation's secret was lost.
  const other = 'o'.repeat(40)
  const links = await rekeyLinks(db, other, new Date())
  const mine = links.filter((l) => l.teacher === 'stays@island.example')
  expect(mine).toEqual([
    { title: 'Springs', teacher: 'stays@island.example', token: linkToken('publication', kept.publication.id, other) },
  ])
  const row = await db('publications').where({ id: kept.publication.id }).first()
  expect(row.token_hash).toBe(tokenHash(mine[0]!.token))
  expect(await rekeyLinks(db, other, new Date())).toEqual([])
  await db.destroy()
})

it('another secret invalidates everything made with the old one, and lists what has to be sent again', async () => {
  const hers = await server.teacher('rekeyed@island.example')
  const { workoutId: sessionId, publication } = await sentSession(hers)
  const ended = await sentSession(hers)
  await hers.post(`/api/publications/${ended.publication.id}/end`).send({}).expect(200)
  const copy = (await hers.post(`/api/workouts/${sessionId}/copies`).send({}).expect(200)).body.token as string
  const term = newTerm('Autumn', '2026-09-07')
  const termId = (await hers.post('/api/terms').send({ document: term }).expect(200)).body.id as string
  const calendar = (await hers.post(`/api/terms/${termId}/link`).send({}).expect(200)).body.link.token as string
  const opens = (agent: Agent, path: string) => agent.get(path).then((answer) => answer.status)
  const anyone = server.browser()
  const all = () =>
    Promise.all([
      opens(anyone, `/api/go/${publication.token}`),
      opens(anyone, `/api/copies/${copy}`),
      opens(anyone, `/api/go/${calendar}/calendar`),
      opens(hers, '/api/me'),
    ])
  expect(await all()).toEqual([200, 401, 200, 200])
  const signIns = Number((await server.db('sign_ins').count())[0]!.count)

  const other = 'r'.repeat(40)
  const done = await rekey(server.db, other, new Date())
  expect(done).toMatchObject({ signIns, calendars: 1 })
  expect(done.links.filter((l) => l.teacher === 'rekeyed@island.example')).toEqual([
    {
      title: 'Springs',
      teacher: 'rekeyed@island.example',
      token: linkToken('publication', publication.id, other),
    },
  ])
  expect(await all()).toEqual([404, 401, 410, 401])
  expect(await opens(anyone, `/api/go/${linkToken('publication', publication.id, other)}`)).toBe(200)
  expect(await server.db('copies').count()).toEqual([{ count: '0' }])
  expect(await server.db('mailed_links').count()).toEqual([{ count: '0' }])
  // Once more changes nothing.
  expect(await rekey(server.db, other, new Date())).toEqual({ links: [], signIns: 0, copies: 0, calendars: 0 })
})

it('a deletion list torn by a power cut is read to its last complete line; an invalid line is named', async () => {
  const file = join(folder, 'torn.jsonl')
  const line = JSON.stringify({ what: 'part', teacher: crypto.randomUUID(), id: 'x', at: new Date().toISOString() })
  writeFileSync(file, `${line}\n${line.slice(0, 20)}`)
  expect(await readDeletions(file)).toMatchObject({ deletions: [{ what: 'part' }], unread: [] })
  writeFileSync(file, `${line}\nnonsense\n${line}\n`)
  expect(await readDeletions(file)).toMatchObject({ deletions: [{ what: 'part' }, { what: 'part' }], unread: [2] })
})
