import Papa from 'papaparse'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { documentKinds, partOf, readDocument, readSession } from '@esfuerzo/core'
import { newTerm } from '@esfuerzo/core/term'
import { cleanUp } from '../src/cleanup/cleanUp.ts'
import { shelfRoom } from '../src/shelf/store.ts'
import {
  exportOf,
  runOf,
  sentSession,
  smallSession,
  testServer,
  type Agent,
  type TestServer,
} from './support/testServer.ts'

let server: TestServer
let own: Agent
let other: Agent
beforeAll(async () => void (server = await testServer()))
beforeEach(async () => {
  await server.db.raw('truncate teachers, snapshots, sign_ins, limits cascade')
  own = await server.teacher('own@island.example')
  other = await server.teacher('other@island.example')
})
afterAll(() => server.close())

const made = async () =>
  (await own.post('/api/workouts').send({ document: smallSession() }).expect(200)).body.id as string
const save = (id: string, revision: number, title: string) =>
  own
    .put(`/api/workouts/${id}`)
    .send({ revision, document: smallSession(title) })
    .expect(200)
const versions = async (id: string) => (await own.get(`/api/workouts/${id}/versions`).expect(200)).body.versions

/** As if the revisions had been saved that much earlier. */
const age = (id: string, minutes: number) =>
  server
    .db('workout_versions')
    .where({ workout_id: id })
    .update({
      started_at: server.db.raw(`started_at - interval '${minutes} minutes'`),
      saved_at: server.db.raw(`saved_at - interval '${minutes} minutes'`),
    })

describe('history', () => {
  it('counts saves within ten minutes as one revision, later ones as another', async () => {
    const id = await made()
    await save(id, 1, 'Second')
    await save(id, 2, 'Third')
    expect((await versions(id)).map((v: { title: string }) => v.title)).toEqual(['Third'])
    await age(id, 11)
    await save(id, 3, 'Fourth')
    await save(id, 4, 'Fifth')
    expect((await versions(id)).map((v: { title: string }) => v.title)).toEqual(['Fifth', 'Third'])
    // A clock that was set back by an hour is not within ten minutes either.
    await age(id, -60)
    await save(id, 5, 'Sixth')
    expect((await versions(id)).map((v: { title: string }) => v.title)).toEqual(['Sixth', 'Fifth', 'Third'])
  })

  it('closes a revision when the session is left, named or sent home', async () => {
    const id = await made()
    await own.post(`/api/workouts/${id}/versions`).send({}).expect(200)
    await save(id, 1, 'Second')
    await own.post(`/api/workouts/${id}/versions`).send({ name: 'Before the storm' }).expect(200)
    await save(id, 2, 'Third')
    await own.post(`/api/workouts/${id}/publications`).send({ revision: 3, days: 7 }).expect(200)
    await save(id, 3, 'Fourth')
    expect((await versions(id)).map((v: Record<string, unknown>) => [v.title, v.reason, v.name])).toEqual([
      ['Fourth', 'edit', null],
      ['Third', 'published', null],
      ['Second', 'named', 'Before the storm'],
      ['Springs', 'edit', null],
    ])
  })

  it('remembers why a revision was closed when its editor is left afterwards', async () => {
    const id = await made()
    await own.post(`/api/workouts/${id}/publications`).send({ revision: 1, days: 7 }).expect(200)
    await own.post(`/api/workouts/${id}/versions`).send({}).expect(200)
    expect((await versions(id)).map((v: { reason: string }) => v.reason)).toEqual(['published'])
    expect((await own.get(`/api/workouts/${id}/last-sent`).expect(200)).body.document).toMatchObject({
      title: 'Springs',
    })
  })

  it('returns every revision unchanged, and lets it be named and unnamed', async () => {
    const id = await made()
    await age(id, 20)
    await save(id, 1, 'Second')
    const [, first] = await versions(id)
    const path = `/api/workouts/${id}/versions/${first.id}`
    expect(readSession((await own.get(path).expect(200)).body.document)).toEqual(smallSession())
    expect((await own.put(path).send({ name: 'The first' }).expect(200)).body.name).toBe('The first')
    expect((await own.put(path).send({ name: '' }).expect(200)).body.name).toBeNull()
  })

  it('deletes the oldest unnamed revisions beyond two hundred, never a named one', async () => {
    const id = await made()
    await own.post(`/api/workouts/${id}/versions`).send({ name: 'Kept' }).expect(200)
    await age(id, 10_000)
    await server.db.raw(
      `insert into workout_versions (id, workout_id, document, started_at, saved_at, closed)
       select gen_random_uuid(), ?, (select document from workouts where id = ?), now() - n * interval '20 minutes', now() - n * interval '20 minutes', true
       from generate_series(1, 250) n`,
      [id, id],
    )
    await save(id, 1, 'Newest')
    const all = await versions(id)
    expect([all.length, all[0].title, all.at(-1).name]).toEqual([201, 'Newest', 'Kept'])
  })
})

describe('the trash', () => {
  it('shows what was removed, and can delete it permanently with its links and runs', async () => {
    const { workoutId: sessionId, publication } = await sentSession(own)
    await server.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication)).expect(200)
    await own.delete(`/api/bin/${sessionId}`).expect(404)
    await own.delete(`/api/workouts/${sessionId}`).expect(200)
    const { workouts: sessions } = (await own.get('/api/bin').expect(200)).body
    expect(sessions).toMatchObject([{ id: sessionId, title: 'Springs', runs: 1 }])
    const days = (Date.parse(sessions[0].goneAt) - Date.parse(sessions[0].removedAt)) / 86_400_000
    expect(days).toBe(30)
    await other.delete(`/api/bin/${sessionId}`).expect(404)
    await own.delete(`/api/bin/${sessionId}`).expect(200)
    await own.post(`/api/workouts/${sessionId}/restore`).expect(404)
    await server.browser().get(`/api/go/${publication.token}`).expect(404)
    expect(await server.db('snapshots')).toEqual([])
  })

  it('deletes what has been in it for more than thirty days', async () => {
    const [old, young] = [await made(), await made()]
    await own.delete(`/api/workouts/${old}`).expect(200)
    await own.delete(`/api/workouts/${young}`).expect(200)
    await server
      .db('workouts')
      .where({ id: old })
      .update({ removed_at: server.db.raw(`now() - interval '31 days'`) })
    await server
      .db('workouts')
      .where({ id: young })
      .update({ removed_at: server.db.raw(`now() - interval '29 days 23 hours'`) })
    expect((await own.get('/api/bin')).body.workouts.map((w: { id: string }) => w.id)).toEqual([young])
    expect(await cleanUp(server.db, server.deletions)).toMatchObject({ gone: { workouts: 1 } })
    expect(await server.db('workouts').where({ id: old })).toEqual([])
  })
})

describe('the saved parts', () => {
  const part = partOf(smallSession(), smallSession().sections[1]!)
  it('are kept by name, the latest first, until they are removed', async () => {
    const first = (await own.post('/api/shelf').send({ name: 'Springs', part }).expect(200)).body
    await own
      .post('/api/shelf')
      .send({ name: 'Gusts', part: partOf(smallSession(), smallSession().sections[1]!.blocks[0]!) })
      .expect(200)
    await own.put(`/api/shelf/${first.id}`).send({ name: 'Soft landings' }).expect(200)
    const { parts } = (await own.get('/api/shelf')).body
    expect(parts.map((p: { name: string }) => p.name)).toEqual(['Gusts', 'Soft landings'])
    expect(readDocument(documentKinds.part, parts[1].part)).toEqual(part)
    expect((await other.get('/api/shelf')).body.parts).toEqual([])
    await own.delete(`/api/shelf/${first.id}`).expect(200)
    expect((await own.get('/api/shelf')).body.parts).toHaveLength(1)
  })

  it('have a limit, and refuse an invalid part', async () => {
    await server.db.raw(
      `insert into shelf (id, teacher_id, name, part) select gen_random_uuid(), (select id from teachers where email = 'own@island.example'), 'x', ? from generate_series(1, ?)`,
      [JSON.stringify(part), shelfRoom],
    )
    expect((await own.post('/api/shelf').send({ name: 'One more', part }).expect(400)).body.problems[0].code).toBe(
      'too-many',
    )
    await other
      .post('/api/shelf')
      .send({ name: 'x', part: { ...part, kind: 'poem' } })
      .expect(400)
  })
})

describe('a copy for a colleague', () => {
  it('is behind a link any teacher may open, as it was when it was sent, and is announced by message', async () => {
    const id = await made()
    const before = (await server.outbox.list()).length
    const { token } = (await own.post(`/api/workouts/${id}/copies`).send({ email: 'other@island.example' }).expect(200))
      .body
    await save(id, 1, 'Changed since')
    const copy = (await other.get(`/api/copies/${token}`).expect(200)).body
    expect([copy.from, copy.document.title]).toEqual(['Test', 'Springs'])
    await server.flush()
    const messages = await server.outbox.list()
    expect(messages).toHaveLength(before + 1)
    expect(messages[0]!.text).toContain(`/copy/${token}`)
    await server.browser().get(`/api/copies/${token}`).expect(401)
    await server.db('copies').update({ ends_at: new Date(Date.now() - 1) })
    await other.get(`/api/copies/${token}`).expect(410)
    await other.get('/api/copies/AAAAAAAAAAAAAAAAAAAAAA').expect(404)
  })
})

describe('the text a session was imported from', () => {
  const plan = 'Wed – home PE\nSquats x10\n'
  const begun = async () =>
    (await own.post('/api/workouts').send({ document: smallSession(), original: plan }).expect(200)).body.id as string
  const original = async (id: string) => (await own.get(`/api/workouts/${id}/original`).expect(200)).body.original

  it('is kept unchanged until it is discarded, for its teacher alone', async () => {
    const id = await begun()
    expect(await original(id)).toMatchObject({ text: plan })
    expect(await original(await made())).toBeNull()
    await other.get(`/api/workouts/${id}/original`).expect(404)
    await other.delete(`/api/workouts/${id}/original`).expect(404)
    await own.delete(`/api/workouts/${id}/original`).expect(200)
    expect(await original(id)).toBeNull()
    await own.delete(`/api/workouts/${id}/original`).expect(404)
  })

  it('has a size limit, creates no session if it is too long, and is deleted with its session', async () => {
    const answer = await own
      .post('/api/workouts')
      .send({ document: smallSession(), original: 'x'.repeat(100_001) })
      .expect(400)
    expect(answer.body.problems[0].path).toEqual(['original'])
    expect((await own.get('/api/workouts')).body.workouts).toEqual([])
    const id = await begun()
    await own.delete(`/api/workouts/${id}`).expect(200)
    await own.get(`/api/workouts/${id}/original`).expect(404)
    await own.delete(`/api/bin/${id}`).expect(200)
    expect(await server.db('originals').select()).toEqual([])
  })
})

it('exports large data completely and in order, whatever the batch size', async () => {
  const sent = await sentSession(own)
  for (let i = 0; i < 12; i++) await own.post('/api/workouts').send({ document: smallSession(`Session ${i}`) })
  await server.db.raw(
    `insert into workout_versions (id, workout_id, document, started_at, saved_at)
     select gen_random_uuid(), workout_id, document, started_at, saved_at - n * interval '1 hour' from workout_versions, generate_series(1, 25) n
     where workout_id = ?`,
    [sent.workoutId],
  )
  const runs = Array.from({ length: 105 }, () => runOf(sent.publication))
  for (const run of runs) await server.browser().post(`/api/go/${sent.publication.token}/runs`).send(run).expect(200)
  const files = await exportOf(own)
  const under = (folder: string) => Object.keys(files).filter((name) => name.startsWith(folder))
  expect(under('sessions/')).toHaveLength(13)
  const history = under(`history/springs-${sent.workoutId.slice(0, 8)}/`)
  expect(history).toHaveLength(26)
  expect(history).toEqual([...history].sort())
  const came = JSON.parse(files['results/runs.json']!) as { run: { id: string } }[]
  expect(came.map(({ run }) => run.id)).toEqual(runs.map(({ id }) => id))
  const { data } = Papa.parse<{ run: string }>(files['results/runs.csv']!, { header: true })
  expect(data.map(({ run }) => run)).toEqual(runs.map(({ id }) => id))
})

it('exports everything as open files that other programs read', async () => {
  const document = smallSession('=1+1, "Springs"')
  const { workoutId: sessionId, publication } = await sentSession(own, document)
  await server.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication)).expect(200)
  await own
    .post('/api/shelf')
    .send({ name: 'Kept', part: partOf(document, document.sections[0]!) })
    .expect(200)
  const { body: term } = await own
    .post('/api/terms')
    .send({ document: newTerm('Winter', '2027-01-04') })
    .expect(200)
  await other
    .post('/api/workouts')
    .send({ document: smallSession('Not hers') })
    .expect(200)
  const files = await exportOf(own)
  const name = `1-1-springs-${sessionId.slice(0, 8)}`
  const kinds = Object.keys(files).map((f) => f.replace(/history\/.*/, 'history').replace(/kept-.*/, 'kept'))
  expect(kinds.sort()).toEqual(
    [
      'README.txt',
      'classes.json',
      'events.json',
      'account.json',
      'history',
      'links.json',
      'moves.json',
      'results/book.csv',
      'results/runs.csv',
      'results/runs.json',
      `sessions/${name}.json`,
      'settings.json',
      'shelf/kept',
      `terms/winter-${term.id.slice(0, 8)}.json`,
    ].sort(),
  )
  expect(readSession(JSON.parse(files[`sessions/${name}.json`]!))).toEqual(document)
  expect(JSON.stringify(files)).not.toContain('Not hers')
  const { data } = Papa.parse<Record<string, string>>(files['results/runs.csv']!, { header: true })
  expect(data).toMatchObject([{ session: `'=1+1, "Springs"`, value: '14', unit: 'reps', felt: '4' }])
})
