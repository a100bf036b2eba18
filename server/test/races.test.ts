import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import { partOf } from '@esfuerzo/core'
import { newTerm } from '@esfuerzo/core/term'
import { publicationRoom } from '../src/publications/store.ts'
import { shelfRoom } from '../src/shelf/store.ts'
import { termRoom } from '../src/terms/store.ts'
import { sessionRoom } from '../src/sessions/store.ts'
import { ownSquat, sentSession, smallSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

/** Simultaneous requests: none is answered 500, no limit is exceeded, and none loses another's work. */
let server: TestServer
let own: Agent
beforeAll(async () => void (server = await testServer()))
beforeEach(async () => {
  await server.db.raw('truncate teachers, snapshots, sign_ins, limits cascade')
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

const statuses = async (requests: PromiseLike<{ status: number }>[]) =>
  (await Promise.all(requests)).map((answer) => answer.status).sort()
const twelve = <T>(make: (i: number) => T): T[] => Array.from({ length: 12 }, (_, i) => make(i))
const teacherId = async () => (await own.get('/api/me').expect(200)).body.id as string
const newClass = async (name = '2b') =>
  (
    await own
      .post('/api/classes')
      .send({ name, grades: [2] })
      .expect(200)
  ).body.id as string
const newPupil = async (classId: string, alias = 'Tern 4') => {
  const { pupils } = (
    await own
      .post(`/api/classes/${classId}/pupils`)
      .send({ aliases: [alias] })
      .expect(200)
  ).body
  return (pupils as { id: string; alias: string }[]).find((p) => p.alias === alias)!.id
}

it.each([
  {
    what: 'terms',
    room: termRoom,
    row: `insert into terms (id, teacher_id, title, starts, weeks, document) select gen_random_uuid(), :teacher, 'T', '2027-01-04', 12, '{}'`,
    ask: (agent: Agent) => agent.post('/api/terms').send({ document: newTerm('One more', '2027-01-04') }),
  },
  {
    what: 'workouts',
    room: sessionRoom,
    row: `insert into workouts (id, teacher_id, title, minutes, document) select gen_random_uuid(), :teacher, 'W', 20, '{}'`,
    ask: (agent: Agent) => agent.post('/api/workouts').send({ document: smallSession() }),
  },
  {
    what: 'shelf',
    room: shelfRoom,
    row: `insert into shelf (id, teacher_id, name, part) select gen_random_uuid(), :teacher, 'P', '{}'`,
    ask: (agent: Agent) =>
      agent.post('/api/shelf').send({ name: 'Part', part: partOf(smallSession(), smallSession().sections[1]!) }),
  },
])('room for the last of $what is found by one of twelve', async ({ what, room, row, ask }) => {
  await server.db.raw(`${row} from generate_series(1, :count)`, { teacher: await teacherId(), count: room - 1 })
  const answers = await statuses(twelve(() => ask(own)))
  expect(answers).toEqual([200, ...Array<number>(11).fill(400)])
  expect(Number((await server.db(what).count({ n: '*' }))[0]!.n)).toBe(room)
})

it('the last free link goes to one of several requests', async () => {
  const { workoutId: sessionId } = await sentSession(own)
  await server.db.raw(
    `insert into publications (id, teacher_id, workout_id, sha256, token_hash, title, ends_at)
     select gen_random_uuid(), teacher_id, workout_id, sha256, gen_random_uuid()::text, title, ends_at
     from publications, generate_series(1, ?)`,
    [publicationRoom.links - 2],
  )
  const publish = () => own.post(`/api/workouts/${sessionId}/publications`).send({ revision: 1, days: 7 })
  const answers = await statuses([publish(), publish(), publish()])
  expect(answers).toEqual([200, 400, 400])
})

it('eight simultaneous requests for a calendar link give one, and it works', async () => {
  const { id } = (
    await own
      .post('/api/terms')
      .send({ document: newTerm('Springs', '2027-01-04') })
      .expect(200)
  ).body
  const links = await Promise.all(Array.from({ length: 8 }, () => own.post(`/api/terms/${id}/link`).expect(200)))
  const tokens = new Set(links.map((answer) => answer.body.link.token as string))
  expect(tokens.size).toBe(1)
  for (const token of tokens) await server.browser().get(`/api/go/${token}/calendar`).expect(200)
})

it('a term that starts in year zero is refused by name', async () => {
  for (const starts of ['0000-01-03', '1999-12-27']) {
    const answer = await own.post('/api/terms').send({ document: { ...newTerm('Long ago', '2027-01-04'), starts } })
    expect([answer.status, answer.body.problems?.[0]?.path]).toEqual([400, ['document', 'starts']])
  }
})

it('saving, restoring and removing a pupil at once end in a row or in “not there”, never in an error', async () => {
  const classId = await newClass()
  for (let i = 0; i < 6; i++) {
    const id = await newPupil(classId, `Tern ${i}`)
    const ask = [
      () => own.delete(`/api/pupils/${id}`),
      () => own.put(`/api/pupils/${id}`).send({ note: `n${i}` }),
      () => own.post(`/api/pupils/${id}/restore`),
      () => own.delete(`/api/bin/pupils/${id}`),
      () => own.put(`/api/pupils/${id}`).send({ alias: `Skua ${i}` }),
      () => own.post(`/api/pupils/${id}/code`),
    ]
    expect((await statuses(ask.map((one) => one()))).filter((status) => status >= 500)).toEqual([])
  }
})

it('a pupil saved by two pages keeps both changes; an untouched note is not emptied', async () => {
  const classId = await newClass()
  const id = await newPupil(classId)
  await own.put(`/api/pupils/${id}`).send({ note: 'Wears glasses' }).expect(200)
  expect((await own.put(`/api/pupils/${id}`).send({ alias: 'Skua 9' }).expect(200)).body).toMatchObject({
    alias: 'Skua 9',
    note: 'Wears glasses',
  })
  expect((await own.put(`/api/pupils/${id}`).send({}).expect(200)).body).toMatchObject({ alias: 'Skua 9' })
})

it('a class saved by an outdated page keeps its retention', async () => {
  const id = await newClass()
  await own.put(`/api/classes/${id}`).send({ keepMonths: 6 }).expect(200)
  expect((await own.put(`/api/classes/${id}`).send({ name: '2c' }).expect(200)).body).toMatchObject({
    name: '2c',
    keepMonths: 6,
    grades: [2],
  })
})

it('an own exercise saved over another save is a conflict, and nothing is written; a repeated request is stored once', async () => {
  const file = (name: string) => {
    const { move, figures } = ownSquat()
    return { format: 'esfuerzo.moves', version: 1, moves: [{ move: { ...move, name }, figures }] }
  }
  const keep = (name: string, over?: number) =>
    own.post(`/api/moves${over === undefined ? '' : `?over=own-squat:${over}`}`).send(file(name))
  expect((await keep('One').expect(200)).body.revisions).toEqual({ 'own-squat': 1 })
  expect((await keep('Two', 1).expect(200)).body.revisions).toEqual({ 'own-squat': 2 })
  expect((await keep('Two', 1).expect(200)).body.revisions).toEqual({ 'own-squat': 2 })
  expect((await keep('Three', 1)).body.code).toBe('conflict')
  expect((await keep('Three')).body.code).toBe('conflict')
  expect((await own.get('/api/moves').expect(200)).body.moves).toMatchObject([{ move: { name: 'Two' } }])
  const both = {
    ...file('New'),
    moves: [...file('New').moves, { ...file('x').moves[0]!, move: { ...file('x').moves[0]!.move, id: 'own-other' } }],
  }
  await own.post('/api/moves?over=own-squat:1').send(both).expect(409)
  expect((await own.get('/api/moves').expect(200)).body.moves).toHaveLength(1)
  const answers = await statuses(twelve((i) => keep(`At once ${i}`, 2)))
  expect(answers).toEqual([200, ...Array<number>(11).fill(409)])
})

it('the same copy of a value typed in two classes at once is reported, and is not an error', async () => {
  const id = randomUUID()
  const write = async (name: string) => {
    const classId = await newClass(name)
    const pupil = await newPupil(classId)
    const { publication } = await sentSession(own)
    const cells = [{ what: 'felt', id, pupil, value: 3, was: null, source: 'typed' }]
    return () => own.put(`/api/classes/${classId}/results/${publication.id}`).send({ cells })
  }
  const [one, other] = [await write('2b'), await write('2c')]
  const answers = await Promise.all([one(), other(), one(), other()])
  expect(answers.map((a) => a.status)).toEqual([200, 200, 200, 200])
  expect(await server.db('results')).toHaveLength(1)
})
