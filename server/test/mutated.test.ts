import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import { endpoints, type EndpointName } from '@esfuerzo/contract'
import { seededRandom } from '../../core/src/distribution/seededRandom.ts'
import { mutated } from '../../core/test/support/mutate.ts'
import { samples } from '../../core/test/support/samples.ts'
import { defaultLimits, type Limits } from '../src/http/limits.ts'
import { addressOf, bodyOf, makeSubjects, paramsOf, queryOf, type Subjects } from './support/subjects.ts'
import { testServer, type Agent, type TestServer } from './support/testServer.ts'

let server: TestServer
let own: Agent
const many = { points: 1_000_000, seconds: 60 }
beforeAll(async () => {
  const limits = Object.fromEntries(Object.keys(defaultLimits).map((name) => [name, many])) as unknown as Limits
  server = await testServer(limits)
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

let about: Subjects
beforeEach(async () => void (about = await makeSubjects(server, own)))

// Routes that end the sign-in or export everything would end the trial.
const left = new Set<EndpointName>(['signOut', 'signOutEverywhere', 'deleteAccount', 'exportAll'])
const names = (Object.keys(endpoints) as EndpointName[]).filter((name) => !left.has(name))

/** @param body as text, valid or not */
function ask(name: EndpointName, address: string, body?: string) {
  const { method } = endpoints[name]
  const request = own[method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'](address)
  return method === 'GET' ? request : request.type('json').send(body ?? '')
}

/** A route's query, as a URL query. */
const saidBy = (query: string) => Object.fromEntries(new URLSearchParams(query))
/** Any text, as an address carries it. */
const written = (query: unknown): string =>
  Object.entries(query ?? {})
    .map(
      ([key, value]) => `${encodeURIComponent(key.toWellFormed())}=${encodeURIComponent(String(value).toWellFormed())}`,
    )
    .join('&')

const secret = 'a secret that is in no log'

it('mutated requests to every route crash nothing, get answers below 500, and leave no personal text in the log', async () => {
  const random = seededRandom(28)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  // Personal text, in every place where a route takes text.
  const withWords = (body: unknown) =>
    JSON.parse(JSON.stringify(body ?? {}).replaceAll(/"(?:Springs|wrong|Renamed)"/g, `"${secret}"`)) as unknown
  const odd = ['%00', '%ff', '..%2f', 'é', "'", '%F0%9F', '9'.repeat(40), 'null']
  for (let i = 0; i < samples(120, 10_000); i++) {
    const name = names[i % names.length]!
    // Deleted things are restored.
    if (i % names.length === 0) about = await makeSubjects(server, own)
    const params = paramsOf(name, about)
    const address = endpoints[name].path
      .replaceAll(/:(\w+)/g, (_, key: string) => (random() < 0.1 ? pick(odd) : params[key]!))
      .concat(`?${written(mutated(saidBy(queryOf(name, about)), random))}`)
    const body = JSON.stringify(mutated(withWords(bodyOf(name, about)), random))
    const answer = await ask(name, address, body)
    if (answer.status >= 500)
      throw new Error(
        `${name} at ${address} was answered ${answer.status}; for corpus.json: ${JSON.stringify({ route: name, body })}\n${server.logged.at(-1)}`,
      )
  }
  await server.flush()
  await own.get('/api/me').expect(200)
  expect(server.logged.filter((line) => line.includes(secret))).toEqual([])
  expect(server.logged.filter((line) => line.includes('"level":50'))).toEqual([])
})

/** Every route that only reads. */
const views = names.filter((name) => endpoints[name].method === 'GET')
/** The views asked after one entry of the corpus: all of them at night, otherwise every sixth, so that six entries cover them all. */
const viewsAfter = (entry: number) =>
  samples(
    views.filter((_, i) => i % 6 === entry % 6),
    views,
  )

/** A request that once got a wrong answer, or that is designed to. */
interface Kept {
  route: EndpointName
  why: string
  /** The raw body, instead of what the route takes. */
  body?: string
  /** Put into the route's valid body, at the path of its place. */
  put?: Record<string, unknown>
  /** A text of this many characters; the existing list repeated this many times. */
  long?: Record<string, number>
  many?: Record<string, number>
  /** This many nested lists, as the whole body. */
  deep?: number
  params?: Record<string, string>
  query?: string
}

const corpus = JSON.parse(readFileSync(new URL('./corpus.json', import.meta.url), 'utf8')) as Kept[]

/** @example change({ a: [{ b: 0 }] }, 'a.0.b', () => 1) // { a: [{ b: 1 }] } */
function change(into: unknown, path: string, to: (there: unknown) => unknown): void {
  const keys = path.split('.')
  const last = keys.pop()!
  const holder = keys.reduce((at, key) => (at as Record<string, unknown>)[key], into) as Record<string, unknown>
  holder[last] = to(holder[last])
}

/** What is sent of it. */
function sentOf({ route, body, deep, put, long, many }: Kept): string {
  if (deep !== undefined) return '['.repeat(deep) + ']'.repeat(deep)
  if (body !== undefined) return body
  const whole = JSON.parse(JSON.stringify(bodyOf(route, about) ?? {})) as unknown
  for (const [path, value] of Object.entries(put ?? {})) change(whole, path, () => value)
  for (const [path, signs] of Object.entries(long ?? {})) change(whole, path, () => 'x'.repeat(signs))
  for (const [path, times] of Object.entries(many ?? {}))
    change(whole, path, (there) => Array<unknown>(times).fill((there as unknown[])[0]))
  return JSON.stringify(whole)
}

it.each(corpus)('$route, $why: refused or accepted completely, and existing data stays', async (kept) => {
  const { route, params, query } = kept
  const before = server.logged.length
  const address = addressOf(route, about, { ...params, ...(query !== undefined && { query }) })
  const answer = await ask(route, address, sentOf(kept))
  expect(answer.status).toBeLessThan(500)
  if (answer.status >= 400) expect(answer.headers['content-type']).toContain('application/problem+json')
  const there = await own.get(`/api/workouts/${about.sent.workoutId}`).expect(200)
  if (answer.status >= 400) expect(there.body).toMatchObject({ revision: 1, document: { title: 'Springs' } })
  // Accepted data can be shown, printed and counted.
  if (answer.status === 200)
    for (const view of viewsAfter(corpus.indexOf(kept)))
      expect((await ask(view, addressOf(view, about))).status).toBeLessThan(500)
  expect(server.logged.slice(before).filter((line) => line.includes('"level":50'))).toEqual([])
})
