import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { cleanUp } from '../src/cleanup/cleanUp.ts'
import { catchUp } from '../src/results/store.ts'
import { library, runOf, sentSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

let server: TestServer
let own: Agent
beforeAll(async () => void (server = await testServer()))
beforeEach(async () => {
  await server.db.raw('truncate teachers, snapshots, sign_ins, limits cascade')
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

/** A class whose year is over, with a pupil and a number of typed values of that year. */
async function classOf(values: number): Promise<string> {
  const { teacher_id } = await server.db('teachers').first('id as teacher_id')
  const id = randomUUID()
  await server.db('classes').insert({
    id,
    teacher_id,
    name: id.slice(0, 4),
    grades: [2],
    year_ends: '2026-07-31',
    keep_months: 0,
    ruled_from: '2025-09-01',
  })
  const pupil = randomUUID()
  await server
    .db('pupils')
    .insert({ id: pupil, teacher_id, class_id: id, alias: 'Tern 4', alias_key: 'tern4', slip: 1 })
  await server.db.raw(
    `insert into results (teacher_id, class_id, pupil_id, source, name, unit, value, at, by)
     select ?, ?, ?, 'typed', 'Squat', 'reps', g, '2026-05-01', 'teacher' from generate_series(1, ?) g`,
    [teacher_id, id, pupil, values],
  )
  return id
}
const left = async (classId: string) =>
  Number((await server.db('results').where({ class_id: classId }).count({ n: '*' }))[0]!.n)

describe('expired data of classes', () => {
  it('is deleted a few rows at a time, each batch in its own transaction', async () => {
    const id = await classOf(9000)
    const deleted: number[] = []
    const counted = ({ rowCount }: { rowCount: number }, { sql }: { sql: string }) =>
      void (sql.includes('delete from "results"') && deleted.push(rowCount))
    server.db.on('query-response', counted)
    const done = await cleanUp(server.db, server.deletions, '2026-09-01')
    server.db.removeListener('query-response', counted)
    expect(done).toMatchObject({ gone: { results: 9000 }, failed: [] })
    expect(await left(id)).toBe(0)
    expect(Math.max(...deleted)).toBeLessThanOrEqual(4000)
    expect(deleted.length).toBeGreaterThanOrEqual(3)
  })

  it('is deleted in other classes if one row fails, and in that one as far as possible; the rest goes the next time', async () => {
    const classes = [await classOf(3), await classOf(3), await classOf(3)].sort()
    const [, stuck] = classes as [string, string, string]
    await server.db.raw(`
      create function refuse_row() returns trigger language plpgsql as $$ begin raise exception 'stuck'; end $$;
      create trigger stuck before delete on results for each row when (old.class_id = '${stuck}') execute function refuse_row()`)
    const first = await cleanUp(server.db, server.deletions, '2026-09-01')
    await server.db.raw('drop trigger stuck on results; drop function refuse_row()')
    expect(first!.failed).toMatchObject([{ kind: 'results', id: stuck }])
    expect(await Promise.all(classes.map(left))).toEqual([0, 3, 0])
    expect(await cleanUp(server.db, server.deletions, '2026-09-01')).toMatchObject({ gone: { results: 3 }, failed: [] })
  })

  it('is deleted for everybody else if one teacher has a zone the database does not know', async () => {
    const whole = await classOf(2)
    await server.db('teachers').insert({
      id: randomUUID(),
      email: 'odd@island.example',
      name: 'Odd',
      password_hash: '',
      zone: 'Foo/Bar',
    })
    const odd = await classOf(2)
    const { id: teacher_id } = await server.db('teachers').where({ email: 'odd@island.example' }).first('id')
    await server.db('classes').where({ id: odd }).update({ teacher_id })
    await server.db('sign_ins').insert({ sid: 'old', sess: '{}', expire: new Date(0) })
    const done = await cleanUp(server.db, server.deletions, '2026-09-01')
    expect(done!.failed).toMatchObject([{ kind: 'results', id: odd }])
    expect(done!.gone).toMatchObject({ sign_ins: 1, results: 2 })
    expect([await left(whole), await left(odd)]).toEqual([0, 2])
  })
})

it('a kind that cannot be cleaned up does not stop the others', async () => {
  await server.db.raw('alter table events rename to events_away')
  await server.db('sign_ins').insert({ sid: 'old', sess: '{}', expire: new Date(0) })
  const done = await cleanUp(server.db, server.deletions)
  await server.db.raw('alter table events_away rename to events')
  expect(done!.failed.map((f) => f.kind)).toEqual(['events'])
  expect(done!.gone).toMatchObject({ sign_ins: 1, copies: 0, snapshots: 0 })
})

it('an unreadable run is reported; missing results of all others are written', async () => {
  const { publication } = await sentSession(own)
  for (let i = 0; i < 3; i++)
    await server.browser().post(`/api/go/${publication.token}/runs`).send(runOf(publication)).expect(200)
  const [bad] = await server.db('runs').select('id')
  await server.db('results').delete()
  await server.db('runs').update({ has_rows: false })
  await server.db('runs').where({ id: bad.id }).update({ document: '{"format":"nothing"}' })
  const done = await catchUp(server.db, library)
  expect(done).toMatchObject({ runs: 2, failed: [{ kind: 'run', id: bad.id }] })
  expect(await server.db('results')).toHaveLength(4)
})

describe('a zone', () => {
  it('unknown to the database is refused at sign-up and in settings, whatever a browser says', async () => {
    const signUp = (zone: string) =>
      server.browser().post('/api/accounts').send({ name: 'New', email: 'new@island.example', zone })
    for (const zone of ['Foo/Bar', 'US/Pacific-New', 'UTC+25']) {
      expect((await signUp(zone)).body.problems).toMatchObject([{ path: ['zone'] }])
      expect((await own.put('/api/settings').send({ zone })).body.problems).toMatchObject([{ path: ['zone'] }])
    }
    await signUp('Atlantic/Azores').expect(200)
    await own.put('/api/settings').send({ zone: 'Europe/Lisbon' }).expect(200)
  })
})

describe('settings', () => {
  it('changed by two pages keep both changes', async () => {
    const page = (change: object) => own.put('/api/settings').send(change).expect(200)
    await page({ school: 'Pier school', readings: { 'frog hops': 'frog', burps: 'note' } })
    await page({ familyNote: 'Doors open', readings: { planks: 'plank', burps: null } })
    expect((await own.get('/api/settings').expect(200)).body).toMatchObject({
      school: 'Pier school',
      familyNote: 'Doors open',
      readings: { 'frog hops': 'frog', planks: 'plank' },
    })
    await own
      .put('/api/settings')
      .send({ readings: { '': 'x' } })
      .expect(400)
    // A page of the previous release sends all of them.
    const { body: all } = await own.get('/api/settings').expect(200)
    await own
      .put('/api/settings')
      .send({ ...all, school: 'Harbor school' })
      .expect(200)
  })
})
