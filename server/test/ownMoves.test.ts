import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import { addStation, carryMoves, mostOwnMoves, withOwnMoves, type OwnMove } from '@esfuerzo/core'
import { library, ownSquat, smallSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

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

const file = (...moves: OwnMove[]) => ({ format: 'esfuerzo.moves', version: 1, moves })
const keep = (agent: Agent, ...moves: OwnMove[]) => agent.post('/api/moves').send(file(...moves))
const names = async (agent: Agent) =>
  (await agent.get('/api/moves').expect(200)).body.moves.map((m: OwnMove) => m.move.name)

it('keeps a teacher’s own exercises for her alone, and changes one that is saved again', async () => {
  await keep(own, ownSquat()).expect(200)
  expect(await names(own)).toEqual(['Limpet squat'])
  expect(await names(other)).toEqual([])
  const changed = ownSquat()
  changed.move.name = 'Whelk squat'
  await own
    .post('/api/moves?over=own-squat:1')
    .send({ format: 'esfuerzo.moves', version: 1, moves: [changed] })
    .expect(200)
  expect(await names(own)).toEqual(['Whelk squat'])
  // Another teacher may have one with the same id; it is a different exercise.
  await keep(other, ownSquat()).expect(200)
  expect(await names(own)).toEqual(['Whelk squat'])
  await other.delete('/api/moves/own-squat').expect(200)
  expect(await names(own)).toEqual(['Whelk squat'])
})

it('refuses a file with mistakes completely, naming each', async () => {
  const wrong = ownSquat()
  wrong.move.muscles = { main: ['gills'], also: [] }
  wrong.move.figure = 'own-drawing'
  const { body } = await keep(own, { ...ownSquat(), move: { ...ownSquat().move, id: 'own-fine' } }, wrong).expect(400)
  expect(body.problems).toEqual([
    expect.objectContaining({ code: 'not-found', path: ['moves', 1, 'move', 'muscles', 'main', 0], received: 'gills' }),
    expect.objectContaining({ code: 'not-found', path: ['moves', 1, 'move', 'figure'], received: 'own-drawing' }),
  ])
  expect(await names(own)).toEqual([])
})

it('has a limit, above which none of them is saved', async () => {
  const many = Array.from({ length: mostOwnMoves }, (_, i): OwnMove => {
    const { move, figures } = ownSquat()
    return { move: { ...move, id: `own-${i}`, name: `Squat ${i}` }, figures }
  })
  await keep(own, ...many.slice(0, mostOwnMoves - 1)).expect(200)
  const { body } = await keep(own, many.at(-1)!, ownSquat()).expect(400)
  expect(body.problems[0]).toMatchObject({ code: 'too-many', path: ['moves'] })
  expect(await names(own)).toHaveLength(mostOwnMoves - 1)
})

it('publishes a session that carries one, and reports which exercises were used lately', async () => {
  const hers = withOwnMoves(library, [ownSquat()])
  const cells = { all: { move: 'own-squat', version: 'squat' } }
  const bare = addStation(smallSession(), 'b2', cells)
  // Without the exercise in it, nobody could know what it is.
  const { body } = await own.post('/api/workouts').send({ document: bare }).expect(400)
  expect(body.problems[0]).toMatchObject({ code: 'unknown-move', received: 'own-squat' })

  const { id } = (
    await own
      .post('/api/workouts')
      .send({ document: carryMoves(bare, hers) })
      .expect(200)
  ).body
  expect((await own.get('/api/moves/used').expect(200)).body.used).toEqual([])
  const sent = (await own.post(`/api/workouts/${id}/publications`).send({ revision: 1, days: 7 }).expect(200)).body
  const snapshot = JSON.parse((await server.browser().get(`/snapshots/${sent.sha256}`).expect(200)).text)
  expect(snapshot.moves.map((m: { name: string }) => m.name)).toContain('Limpet squat')
  const used = (await own.get('/api/moves/used').expect(200)).body.used
  expect(used.map((u: { move: string }) => u.move).sort()).toEqual(['own-squat', 'pogo'])
  expect((await other.get('/api/moves/used').expect(200)).body.used).toEqual([])
})
