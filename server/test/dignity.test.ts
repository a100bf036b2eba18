import { randomUUID } from 'node:crypto'
import Papa from 'papaparse'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { endpoints, type EndpointName, type PublicationInfo } from '@esfuerzo/contract'
import { byAlias } from '@esfuerzo/core/classBook'
import { pupilKey } from '../src/pupils/pupilCode.ts'
import { exportOf, runOf, sentSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

// Children are listed by alias and never by their results, and nobody learns about another child: checked over every route.
const secret = 's'.repeat(40)
let server: TestServer
let own: Agent
let classId: string
let sent: PublicationInfo
let sessionId: string
const pupils: { id: string; alias: string }[] = []
const runs = new Map<string, string>()

/** Later aliases have higher values, so that an order by value would be noticed in either direction. */
const values = [3, 30, 12, 21, 7, 26]

beforeAll(async () => {
  server = await testServer()
  own = await server.teacher('own@island.example')
  classId = (
    await own
      .post('/api/classes')
      .send({ name: '1b', grades: [0, 1] })
      .expect(200)
  ).body.id
  const aliases = ['Tern 11', 'Anchor 2', 'Kelp 70', 'Tern 4', 'Mast 9', 'Dulse 33']
  pupils.push(...(await own.post(`/api/classes/${classId}/pupils`).send({ aliases }).expect(200)).body.pupils)
  ;({ publication: sent, workoutId: sessionId } = await sentSession(own))
  for (const [i, { id }] of pupils.entries()) {
    const run = runOf(sent, { results: [{ block: 'b2', station: 's1', lap: 1, value: values[i]!, unit: 'reps' }] })
    runs.set(id, run.id)
    const browser = server
      .browser()
      .post(`/api/go/${sent.token}/runs`)
      .set('pupil-key', pupilKey(id, 1, secret))
    await browser.send(run).expect(200)
  }
})
afterAll(() => server.close())

/** Every list in an answer, at any depth. */
function listsIn(data: unknown): unknown[][] {
  if (Array.isArray(data)) return [data, ...data.flatMap(listsIn)]
  return data && typeof data === 'object' ? Object.values(data).flatMap(listsIn) : []
}
/** The name of every field in an answer. */
function namesIn(data: unknown): string[] {
  if (Array.isArray(data)) return data.flatMap(namesIn)
  return data && typeof data === 'object'
    ? Object.entries(data).flatMap(([name, value]) => [name, ...namesIn(value)])
    : []
}
const comparing = /rank|best|worst|top|bottom|average|mean|median|percent|score ?board|leader|quartile/i

const addressOf = (name: EndpointName): string =>
  endpoints[name].path
    .replace('/api/classes/:id', `/api/classes/${classId}`)
    .replace('/api/pupils/:id', `/api/pupils/${pupils[0]!.id}`)
    .replace('/api/publications/:id', `/api/publications/${sent.id}`)
    .replace(':id', sessionId)
    .replace(':publication', sent.id)
    .replace(':token', sent.token)
    .replace(':sha256', sent.sha256)
const asked = Object.entries(endpoints).flatMap(([name, e]) => (e.method === 'GET' ? [name as EndpointName] : []))

it.each(asked)('%s lists nobody by results, and compares nobody', async (name) => {
  const { body } = await own.get(addressOf(name))
  for (const list of listsIn(body)) {
    const aliases = list.flatMap((entry) => {
      const alias = (entry as { alias?: unknown } | null)?.alias
      return typeof alias === 'string' ? [alias] : []
    })
    // Runs are in order of arrival, which says nothing about results.
    if (name !== 'listRuns') expect(aliases).toEqual([...aliases].sort(byAlias))
  }
  expect(namesIn(body).filter((field) => comparing.test(field))).toEqual([])
})

it('entries of the book are not ordered by their values', async () => {
  const { body } = await own.get(`/api/classes/${classId}/results/${sent.id}`).expect(200)
  const read = body.entries.filter((e: { what: string }) => e.what === 'result').map((e: { value: number }) => e.value)
  expect(read).toHaveLength(6)
  const rising = [...values].sort((a, b) => a - b)
  expect(read).not.toEqual(rising)
  expect(read).not.toEqual(rising.toReversed())
})

it('a teacher’s export is by class and alias', async () => {
  const files = await exportOf(own)
  const { data } = Papa.parse<Record<string, string>>(files['results/book.csv']!, {
    header: true,
    skipEmptyLines: true,
  })
  const aliases = data.map((row) => row.alias!)
  expect(aliases).toEqual([...aliases].sort(byAlias))
  expect(Object.keys(data[0]!).filter((field) => comparing.test(field))).toEqual([])
})

it('a child’s own file, its code’s answer and its link’s data contain no other alias or value', async () => {
  const [first, ...others] = pupils
  const file = (await own.get(`/api/pupils/${first!.id}/file`).expect(200)).text
  const link = (await server.browser().get(`/api/go/${sent.token}`).expect(200)).text
  const again = await server
    .browser()
    .post(`/api/go/${sent.token}/runs`)
    .set('pupil-key', pupilKey(first!.id, 1, secret))
    .send(runOf(sent, { id: randomUUID() }))
    .expect(200)
  for (const { id, alias } of others) {
    for (const text of [file, link, again.text]) {
      expect(text).not.toContain(alias)
      expect(text).not.toContain(id)
      expect(text).not.toContain(runs.get(id))
    }
  }
})
