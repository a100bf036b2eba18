import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { endpoints, type EndpointName } from '@esfuerzo/contract'
import { defaultLimits } from '../src/http/limits.ts'
import { ownedTables } from '../src/rights/rights.ts'
import { addressOf, bodyOf, makeSubjects, noToken, type Subjects } from './support/subjects.ts'
import { testServer, type Agent, type TestServer } from './support/testServer.ts'

let server: TestServer
let own: Agent
let other: Agent
let about: Subjects
let ids: { own: string; other: string }
/** Statements of the current request that change rows which belong to a teacher. */
let writes: { sql: string; bindings: unknown }[] = []
// Stored with its publication, in the transaction that has just created it.
const writesOwned = new RegExp(
  `\\b(insert into|update|delete from) "?(${ownedTables.filter((t) => t !== 'published_facts').join('|')})\\b`,
)

beforeAll(async () => {
  // Every test request signs up and asks for messages from the tests' one address.
  const many = { points: 10_000, seconds: 60 }
  server = await testServer({
    ...defaultLimits,
    network: many,
    links: many,
    account: many,
    guard: many,
    asked: many,
    written: many,
  })
  own = await server.teacher('own@island.example')
  other = await server.teacher('other@island.example')
  const idOf = async (agent: Agent) => (await agent.get('/api/me').expect(200)).body.id as string
  ids = { own: await idOf(own), other: await idOf(other) }
  server.db.on('query', (query: { sql: string; bindings: unknown }) => {
    if (writesOwned.test(query.sql)) writes.push(query)
  })
})
afterAll(() => server.close())

const actors = ['anonymous', 'family', 'ended', 'other', 'own'] as const
type Actor = (typeof actors)[number]

/**
 * How every route answers: nobody; somebody with a link's token; with an ended link's token; another teacher, asking for the first one's
 * things; the teacher they belong to.
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
  listSessions: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  createSession: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  readSession: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  saveSession: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  removeSession: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  restoreSession: { anonymous: 401, family: 401, ended: 401, other: 404, own: 404 },
  listBin: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },
  deleteSession: { anonymous: 401, family: 401, ended: 401, other: 404, own: 404 },
  listRevisions: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  keepRevision: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  readRevision: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
  nameRevision: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
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
  publishSession: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
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
  keepTermRevision: { anonymous: 401, family: 401, ended: 401, other: 404, own: 200 },
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

/** Somebody with an ended link has ended tokens of both kinds; nobody guesses one. */
function tokenOf(name: EndpointName, actor: Actor): Record<string, string> {
  if (name === 'readCopy') return {}
  if (actor === 'anonymous') return { token: noToken }
  if (actor !== 'ended') return {}
  return { token: name === 'subscribedTerm' ? about.endedTermToken : about.ended.token }
}
const askedBy = (name: EndpointName, actor: Actor) => addressOf(name, about, tokenOf(name, actor))

/** Since the subjects were made something that belongs to a teacher was written. */
let changed = true
let made: EndpointName | undefined

describe.each(Object.keys(endpoints) as EndpointName[])('%s', (name) => {
  it.each(actors)('to %s', async (actor) => {
    // Fresh for every route that comes after a change: only its owner, who comes last, can take away what it is asked for.
    if (made !== name && changed) {
      // Another teacher may have an exercise with the same id, which is a different one.
      await server.db('own_moves').delete()
      about = await makeSubjects(server, own)
      changed = false
    }
    made = name
    const agent = actor === 'own' ? own : actor === 'other' ? other : server.browser()
    const method = endpoints[name].method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
    writes = []
    const answer = await agent[method](askedBy(name, actor)).send(bodyOf(name, about) as object)
    changed ||= writes.length > 0
    expect(answer.status).toBe(expected[name][actor])
    // Every changing statement names the owner whose rows it may change.
    if (endpoints[name].access === 'teacher' && (actor === 'own' || actor === 'other'))
      for (const { sql, bindings } of writes) expect(JSON.stringify(bindings), sql.slice(0, 200)).toContain(ids[actor])
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
      expect(JSON.stringify(answer.body)).not.toContain(about.sent.workoutId)
    }
    if (name === 'signOut' || name === 'signOutEverywhere') {
      own = await signedInAgain('own@island.example')
      other = await signedInAgain('other@island.example')
    }
    // Whatever another teacher did, the owner's session is unchanged.
    if (actor === 'other' || actor === 'anonymous') {
      const kept = await own.get(`/api/workouts/${about.sent.workoutId}`).expect(200)
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
  'refuses %s from another site or without an origin',
  async (name, endpoint) => {
    const method = endpoint.method.toLowerCase() as 'post' | 'put' | 'delete'
    const from = (site: string) =>
      own[method](addressOf(name as EndpointName, about))
        .set('Origin', site)
        .send({})
    expect((await from('https://elsewhere.example')).body.code).toBe('foreign-origin')
    expect((await from('null')).status).toBe(403)
  },
)
