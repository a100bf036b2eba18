import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { newSettings, partOf } from '@esfuerzo/core'
import { newTerm } from '@esfuerzo/core/term'
import { endpoints, type EndpointName, type PublicationInfo } from '@esfuerzo/contract'
import { randomUUID } from 'node:crypto'
import { pupilCode } from '../src/pupils/pupilCode.ts'
import { keepOriginal } from '../src/originals/store.ts'
import { defaultLimits } from '../src/http/limits.ts'
import {
  ownSquat,
  runOf,
  sentWorkout,
  smallWorkout,
  testServer,
  type Agent,
  type TestServer,
} from './support/testServer.ts'

let server: TestServer
let own: Agent
let other: Agent
let sent: { workoutId: string; publication: PublicationInfo }
/** A state of that session, a piece on the shelf, a copy's link. */
let version: string
let kept: string
let copy: string
let schoolClass: string
/** A term, the address its calendar asks, and one that is asked no more. */
let term: string
let termToken: string
let endedTermToken: string
/** A pupil of the class, and its code. */
let pupil: string
let code: string
let ended: PublicationInfo
/** A run that came back. */
let came: string

beforeAll(async () => {
  // Every try signs up and asks for messages from the one address of the tests.
  const many = { points: 10_000, seconds: 60 }
  server = await testServer({ ...defaultLimits, address: many, account: many, guard: many, asked: many, written: many })
  own = await server.teacher('own@island.example')
  other = await server.teacher('other@island.example')
})
afterAll(() => server.close())

const actors = ['anonymous', 'family', 'ended', 'other', 'own'] as const
type Actor = (typeof actors)[number]

/**
 * What every route answers to: nobody; somebody with a link's token; with an ended link's token; another
 * teacher, asking for the first one's things; the teacher whose they are.
 */
const expected: Record<EndpointName, Record<Actor, number>> = {
  signIn: { anonymous: 401, family: 401, ended: 401, other: 401, own: 401 },
  signInByLink: { anonymous: 410, family: 410, ended: 410, other: 410, own: 410 },
  signOut: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  me: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  changePassword: { anonymous: 401, family: 401, ended: 401, other: 401, own: 401 },
  signOutEverywhere: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  rename: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  deleteAccount: { anonymous: 401, family: 401, ended: 401, other: 401, own: 401 },
  listEvents: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  exportAll: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  readSettings: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  saveSettings: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  signUp: { anonymous: 200, family: 200, ended: 200, other: 200, own: 200 },
  forgotPassword: { anonymous: 200, family: 200, ended: 200, other: 200, own: 200 },
  choosePassword: { anonymous: 410, family: 410, ended: 410, other: 410, own: 410 },
  listWorkouts: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  createWorkout: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  readWorkout: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  saveWorkout: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  removeWorkout: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  restoreWorkout: { anonymous: 401, family: 401, ended: 401, other: 404, own: 404 },
  listBin: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  deleteWorkout: { anonymous: 401, family: 401, ended: 401, other: 404, own: 404 },
  listVersions: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  keepVersion: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readVersion: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  nameVersion: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readOriginal: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  removeOriginal: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  sendCopy: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readCopy: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  listShelf: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  keepPart: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  renamePart: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  removePart: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  listOwnMoves: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  usedMoves: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  keepOwnMoves: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  removeOwnMove: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  publishWorkout: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  listPublications: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  endPublication: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  lastSent: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  listClasses: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  addClass: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  saveClass: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  removeClass: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readClass: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  addPupils: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  slips: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  savePupil: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  renewCode: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  removePupil: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  deletePupil: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  exportPupil: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  listSentSessions: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readPace: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readTests: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readBook: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  writeBook: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  moveRun: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  restoreClass: { anonymous: 401, family: 401, ended: 401, other: 404, own: 404 },
  restorePupil: { anonymous: 401, family: 401, ended: 401, other: 404, own: 404 },
  giveCode: { anonymous: 404, family: 200, ended: 410, other: 200, own: 200 },
  sheet: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  familySheet: { anonymous: 404, family: 200, ended: 410, other: 200, own: 200 },
  calendar: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  messageFamilies: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readCameBack: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  listRuns: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  removeRun: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  removeRuns: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  resolveLink: { anonymous: 404, family: 200, ended: 410, other: 200, own: 200 },
  sendRun: { anonymous: 404, family: 200, ended: 410, other: 200, own: 200 },
  snapshot: { anonymous: 200, family: 200, ended: 200, other: 200, own: 200 },
  listTerms: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  createTerm: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  readTerm: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  saveTerm: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  removeTerm: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  restoreTerm: { anonymous: 401, family: 401, ended: 401, other: 404, own: 404 },
  keepTermVersion: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readDone: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  termCalendar: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readTermLink: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  makeTermLink: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  endTermLink: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  listTermLinks: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  messageTermFamilies: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  subscribedTerm: { anonymous: 404, family: 200, ended: 410, other: 200, own: 200 },
  listOutbox: { anonymous: 200, family: 200, ended: 200, other: 200, own: 200 },
  readMessage: { anonymous: 404, family: 404, ended: 404, other: 404, own: 404 },
  schema: { anonymous: 200, family: 200, ended: 200, other: 200, own: 200 },
  health: { anonymous: 200, family: 200, ended: 200, other: 200, own: 200 },
}

const aTerm = () => ({
  ...newTerm('Springs all term', '2027-01-04'),
  places: [{ id: 'd1', date: '2027-01-05', session: sent.workoutId }],
})

const bodies: Partial<Record<EndpointName, () => unknown>> = {
  signIn: () => ({ email: 'nobody@island.example', password: 'wrong' }),
  signInByLink: () => ({ token: 'AAAAAAAAAAAAAAAAAAAAAA' }),
  changePassword: () => ({ current: 'not the password', next: 'another good one' }),
  createWorkout: () => ({ document: smallWorkout() }),
  createTerm: () => ({ document: aTerm() }),
  saveTerm: () => ({ revision: 1, document: aTerm() }),
  signUp: () => ({ name: 'New', email: `${Math.random()}@island.example`, zone: 'UTC' }),
  forgotPassword: () => ({ email: `${Math.random()}@island.example` }),
  choosePassword: () => ({ token: 'AAAAAAAAAAAAAAAAAAAAAA', password: 'long enough for anybody' }),
  rename: () => ({ name: 'Renamed' }),
  deleteAccount: () => ({ password: 'not the password' }),
  saveSettings: () => newSettings('UTC'),
  keepVersion: () => ({}),
  nameVersion: () => ({ name: 'Before the storm' }),
  sendCopy: () => ({}),
  keepPart: () => ({ name: 'Springs', part: somePart() }),
  renamePart: () => ({ name: 'Another name' }),
  saveWorkout: () => ({ revision: 1, document: smallWorkout('Changed') }),
  publishWorkout: () => ({ revision: 1, days: 7 }),
  sendRun: () => runOf(sent.publication),
  addClass: () => ({ name: '2b', grades: [2] }),
  saveClass: () => ({ name: '3b', grades: [3] }),
  addPupils: () => ({ aliases: [`Tern ${Math.floor(Math.random() * 1e9)}`] }),
  savePupil: () => ({ alias: 'Plover 7', note: '', classId: schoolClass }),
  writeBook: () => ({ cells: [{ ...felt, id: randomUUID(), pupil, value: 3, was: null, source: 'typed' }] }),
  moveRun: () => ({ pupil }),
  giveCode: () => ({ code }),
  messageFamilies: () => ({ to: 'families@island.example', subject: 'Springs', text: 'At home on Monday' }),
  messageTermFamilies: () => ({ to: 'families@island.example', subject: 'This week', text: 'Springs on Tuesday' }),
  keepOwnMoves: () => ({ format: 'esfuerzo.moves', version: 1, moves: [ownSquat()] }),
}

const queries: Partial<Record<EndpointName, () => string>> = {
  calendar: () => '?days=2026-03-02&at=09:00',
  listOutbox: () => `?key=${server.outboxKey}`,
}

const felt = { what: 'felt' }

const somePart = () => partOf(smallWorkout(), smallWorkout().sections[1]!)

const termRoutes = [
  'readTerm',
  'saveTerm',
  'removeTerm',
  'restoreTerm',
  'keepTermVersion',
  'readDone',
  'termCalendar',
  'readTermLink',
  'makeTermLink',
  'endTermLink',
  'listTermLinks',
  'messageTermFamilies',
] as const
const termTokenOf = (actor: Actor) =>
  ({ anonymous: 'AAAAAAAAAAAAAAAAAAAAAA', ended: endedTermToken })[actor as 'anonymous' | 'ended'] ?? termToken
const tokenOf = (actor: Actor) =>
  ({ anonymous: 'AAAAAAAAAAAAAAAAAAAAAA', ended: ended.token })[actor as 'anonymous' | 'ended'] ??
  sent.publication.token

function addressOf(name: EndpointName, actor: Actor): string {
  const ids: Partial<Record<EndpointName, string>> = {
    endPublication: sent.publication.id,
    removeRun: sent.publication.id,
    removeRuns: sent.publication.id,
    calendar: sent.publication.id,
    messageFamilies: sent.publication.id,
    saveClass: schoolClass,
    removeClass: schoolClass,
    moveRun: sent.publication.id,
    ...Object.fromEntries(
      (
        [
          'restoreClass',
          'readClass',
          'addPupils',
          'slips',
          'listSentSessions',
          'readTests',
          'readPace',
          'readBook',
          'writeBook',
        ] as const
      ).map((route) => [route, schoolClass]),
    ),
    ...Object.fromEntries(
      (['savePupil', 'renewCode', 'removePupil', 'restorePupil', 'deletePupil', 'exportPupil'] as const).map(
        (route) => [route, pupil],
      ),
    ),
    ...Object.fromEntries(termRoutes.map((route) => [route, term])),
    renamePart: kept,
    removePart: kept,
    removeOwnMove: 'own-squat',
  }
  return endpoints[name].path
    .replace(':id', ids[name] ?? sent.workoutId)
    .replace(':version', version)
    .replace(':run', came)
    .replace(':publication', sent.publication.id)
    .replace(':file', 'no-such-message.eml')
    .replace(':token', name === 'readCopy' ? copy : name === 'subscribedTerm' ? termTokenOf(actor) : tokenOf(actor))
    .replace(':sha256', sent.publication.sha256)
    .replace(':name', 'workout.json')
    .replace(':kind', 'care')
    .concat(queries[name]?.() ?? '')
}

let made: EndpointName | undefined
/** Everything the routes are asked about, anew. */
async function make(name: EndpointName): Promise<void> {
  made = name
  sent = await sentWorkout(own)
  ended = (await sentWorkout(own)).publication
  await own.post(`/api/publications/${ended.id}/end`).send({ misused: true }).expect(200)
  const run = runOf(sent.publication)
  came = run.id
  await server.browser().post(`/api/go/${sent.publication.token}/runs`).send(run).expect(200)
  await keepOriginal(server.db, sent.workoutId, 'Springs, as they came')
  version = (await own.get(`/api/workouts/${sent.workoutId}/versions`).expect(200)).body.versions[0].id
  await server.db('shelf').delete()
  kept = (await own.post('/api/shelf').send({ name: 'Springs', part: somePart() }).expect(200)).body.id
  await server.db('own_moves').delete()
  await own
    .post('/api/moves')
    .send(bodies.keepOwnMoves!() as object)
    .expect(200)
  await server.db('classes').delete()
  schoolClass = (
    await own
      .post('/api/classes')
      .send(bodies.addClass!() as object)
      .expect(200)
  ).body.id
  const added = await own
    .post(`/api/classes/${schoolClass}/pupils`)
    .send({ aliases: ['Tern 4'] })
    .expect(200)
  pupil = added.body.pupils[0].id
  code = pupilCode(pupil, 1, 's'.repeat(40))
  await server.db('terms').delete()
  const termOf = async () => (await own.post('/api/terms').send({ document: aTerm() }).expect(200)).body.id as string
  const addressOfTerm = async (id: string) =>
    (await own.post(`/api/terms/${id}/link`).expect(200)).body.link.token as string
  const over = await termOf()
  endedTermToken = await addressOfTerm(over)
  await own.delete(`/api/terms/${over}/link`).expect(200)
  term = await termOf()
  termToken = await addressOfTerm(term)
  copy = (await own.post(`/api/workouts/${sent.workoutId}/copies`).send({}).expect(200)).body.token
}

describe.each(Object.keys(endpoints) as EndpointName[])('%s', (name) => {
  it.each(actors)('to %s', async (actor) => {
    // Fresh for every route: only its owner, who comes last, can take away what it is asked for.
    if (made !== name) await make(name)
    const agent = actor === 'own' ? own : actor === 'other' ? other : server.browser()
    const method = endpoints[name].method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
    const answer = await agent[method](addressOf(name, actor)).send(bodies[name]?.() as object)
    expect(answer.status).toBe(expected[name][actor])
    if (answer.status >= 400) {
      expect(answer.headers['content-type']).toContain('application/problem+json')
      expect(JSON.stringify(answer.body)).not.toContain('Springs')
    }
    if (
      actor === 'other' &&
      ['listTerms', 'listPublications', 'listRuns', 'listBin', 'listOwnMoves', 'listClasses', 'usedMoves'].includes(
        name,
      )
    ) {
      expect(Object.values(answer.body)[0]).toEqual([])
      expect(JSON.stringify(answer.body)).not.toContain(sent.workoutId)
    }
    if (name === 'signOut' || name === 'signOutEverywhere') {
      own = await signedInAgain('own@island.example')
      other = await signedInAgain('other@island.example')
    }
    // Whatever another did, the owner's session is as it was.
    if (actor === 'other' || actor === 'anonymous') {
      const kept = await own.get(`/api/workouts/${sent.workoutId}`).expect(200)
      expect(kept.body).toMatchObject({ revision: 1, document: { title: 'Springs' } })
    }
  })
})

async function signedInAgain(email: string): Promise<Agent> {
  const agent = server.browser()
  await agent.post('/api/session').send({ email, password: 'correct horse' }).expect(200)
  return agent
}

it('has every route that the application answers', () => {
  interface Layer {
    route?: { path: string; methods: Record<string, boolean> }
  }
  const stack = (server.app as unknown as { router: { stack: Layer[] } }).router.stack
  const routes = stack.flatMap(({ route }) =>
    route ? Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${route.path}`) : [],
  )
  expect(routes.sort()).toEqual(
    Object.values(endpoints)
      .map((e) => `${e.method} ${e.path}`)
      .sort(),
  )
})

it.each(Object.entries(endpoints).filter(([, e]) => e.method !== 'GET'))(
  'refuses %s from another site or from nowhere',
  async (name, endpoint) => {
    sent = await sentWorkout(own)
    const method = endpoint.method.toLowerCase() as 'post' | 'put' | 'delete'
    const from = (site: string) =>
      own[method](addressOf(name as EndpointName, 'own'))
        .set('Origin', site)
        .send({})
    expect((await from('https://elsewhere.example')).body.code).toBe('foreign-origin')
    expect((await from('null')).status).toBe(403)
  },
)
