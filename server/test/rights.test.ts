import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { endpoints, type EndpointName } from '@esfuerzo/contract'
import { samples } from '../../core/test/support/samples.ts'
import { defaultLimits } from '../src/http/limits.ts'
import { ownedTables, ownerSql } from '../src/rights/rights.ts'
import { pupilKey } from '../src/pupils/pupilCode.ts'
import { addressOf, bodyOf, makeSubjects, queryOf, type Subjects } from './support/subjects.ts'
import { runOf, testServer, type Agent, type TestServer } from './support/testServer.ts'

/**
 * Every route as a stranger would call it who knows ids that are not hers: from a calendar file, a child's device, a colleague's screen. A
 * refused request changes no row of any table; an accepted one changes none of the other teacher's.
 */
let server: TestServer
let owner: Agent
let stranger: Agent
let theirs: Subjects
let hers: Subjects
let ownerId: string
let tables: string[]

beforeAll(async () => {
  const many = { points: 10_000, seconds: 60 }
  server = await testServer({ ...defaultLimits, account: many, guard: many, network: many, asked: many, written: many })
  owner = await server.teacher('owner@island.example')
  stranger = await server.teacher('stranger@island.example')
  theirs = await makeSubjects(server, owner)
  hers = await makeSubjects(server, stranger)
  ownerId = (await owner.get('/api/me').expect(200)).body.id
  const { rows } = await server.db.raw<{ rows: { name: string }[] }>(
    "select table_name as name from information_schema.tables where table_schema = 'public' order by 1",
  )
  // An extended sign-in or a counted try is not anybody's data.
  tables = rows.map((row) => row.name).filter((name) => !['sign_ins', 'limits'].includes(name))
})
afterAll(() => server.close())

interface Digest {
  table: string
  rows: string
  hash: string
}
const digest = (table: string, where = 'true') =>
  `select '${table}' as table, count(*) as rows, md5(coalesce(string_agg(t::text, '|' order by t::text), '')) as hash
   from ${table} t where ${where}`

const read = async (digests: string[], bindings = {}): Promise<Digest[]> =>
  (await server.db.raw(digests.join(' union all '), bindings as never)).rows
/** Count and hash of every table. */
const everything = () => read(tables.map((table) => digest(table)))
/** The same for the other teacher's rows in each. */
const owned = () =>
  read(
    ownedTables.map((table) => digest(table, ownerSql(table, 't'))),
    { teacherId: ownerId },
  )

interface Asked {
  about: string
  address: string
  body: unknown
}

/** Every way to mix another teacher's ids with her own in what a route takes. */
function askedOf(name: EndpointName): Asked[] {
  const names = [...endpoints[name].path.matchAll(/:(\w+)/g)]
    .map((m) => m[1]!)
    .filter((n) => n !== 'kind' && n !== 'name')
  // All of the other's ids; with VERIFY also one at a time, and none.
  const single = names.length > 1 ? names.map((n) => [n]) : []
  const paths = names.length ? [names, ...samples<string[][]>([], [...single, []])] : [[]]
  const path = (theirOwn: readonly string[], query: string) => {
    const place = (about: Subjects) => addressOf(name, about, { query: '' }).split('/')
    const [mine, other] = [place(hers), place(theirs)]
    const parts = endpoints[name].path.split('/')
    return parts.map((part, i) => (theirOwn.includes(part.slice(1)) ? other[i] : mine[i])).join('/') + query
  }
  const queries: Partial<Record<EndpointName, string>> = {
    listRuns: `?workout=${theirs.sent.workoutId}`,
    slips: `?pupils=${theirs.pupil}`,
  }
  const query = queries[name] ?? queryOf(name, hers)
  // A path with another's ids is called with a valid body; a route without one with another's ids in its body.
  const bodies = samples([names.length ? hers : theirs], [theirs, hers])
  return paths.flatMap((theirOwn) =>
    bodies.map((whose) => ({
      about: `${theirOwn.join(' and ') || 'nothing'} of another, body of ${whose === hers ? 'her own' : 'another'}`,
      address: path(theirOwn, query),
      body: bodyOf(name, whose),
    })),
  )
}

/** Routes that change who is signed in. */
const left: EndpointName[] = ['signOut', 'signOutEverywhere', 'deleteAccount', 'changePassword']
/** Every route that changes something; with VERIFY also those that only read. */
const asked = (Object.keys(endpoints) as EndpointName[]).filter(
  (name) =>
    endpoints[name].access === 'teacher' && !left.includes(name) && (endpoints[name].method !== 'GET' || samples(0, 1)),
)

describe('a stranger who knows ids', () => {
  it.each(asked)('%s', async (name) => {
    const method = endpoints[name].method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
    let all = await everything()
    const before = await owned()
    for (const { about, address, body } of askedOf(name)) {
      const { status } = await stranger[method](address).send(body as object)
      if (status >= 400) expect(await everything(), `${about}: ${status}`).toEqual(all)
      else {
        expect(await owned(), `${about}: ${status}`).toEqual(before)
        if (method === 'get') continue
        hers = await makeSubjects(server, stranger)
        all = await everything()
      }
    }
  })

  it('gives another’s run no pupil, though ids of link and run are right and the pupil is her own', async () => {
    const before = await everything()
    const address = `/api/publications/${theirs.sent.publication.id}/runs/${theirs.came}/pupil`
    await stranger.put(address).send({ pupil: hers.pupil }).expect(404)
    await stranger.put(address).send({ pupil: null }).expect(404)
    expect(await everything()).toEqual(before)
  })

  it('sends runs by her own link with the key of another’s child: they arrive without a pupil', async () => {
    const key = pupilKey(theirs.pupil, 1, 's'.repeat(40))
    const run = runOf(hers.sent.publication)
    const before = await owned()
    await server
      .browser()
      .post(`/api/go/${hers.sent.publication.token}/runs`)
      .set('pupil-key', key)
      .send(run)
      .expect(200)
    expect(await server.db('runs').where({ id: run.id }).first('pupil_id')).toEqual({ pupil_id: null })
    await server.browser().post(`/api/go/${hers.sent.publication.token}/code`).send({ code: theirs.code }).expect(404)
    expect(await owned()).toEqual(before)
  })

  it('finds no id in a calendar that opens anything of another teacher', async () => {
    const days = '?days=2026-03-02&at=09:00'
    const { text } = await owner.get(`/api/publications/${theirs.sent.publication.id}/calendar${days}`).expect(200)
    const ids = [...text.matchAll(/[0-9a-f]{8}-[0-9a-f-]{27}/g)].map((m) => m[0])
    expect(ids.length).toBeGreaterThan(0)
    for (const id of ids)
      for (const name of ['endPublication', 'removeRuns', 'calendar'] as const) {
        const method = endpoints[name].method.toLowerCase() as 'get' | 'post' | 'delete'
        const address = endpoints[name].path.replace(':id', id) + (name === 'calendar' ? days : '')
        await stranger[method](address).send({}).expect(404)
      }
  })
})
