import express from 'express'
import supertest from 'supertest'
import { afterAll, beforeAll, expect, inject, it } from 'vitest'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from '../../scripts/ports.mjs'
import { startServer } from '../../scripts/stack.mjs'
import { metricsApp, openMetrics } from '../src/metrics/metrics.ts'
import { sentSession, testServer, type TestServer } from './support/testServer.ts'

const metrics = openMetrics()
let server: TestServer
beforeAll(async () => {
  server = await testServer(undefined, { metrics })
  metrics.watchDatabase(server.db, { log: server.log, milliseconds: 60 })
})
afterAll(() => server.close())

/** A line of the format: a comment with help or a type, or a name, its labels and a number, as Go's ParseFloat reads one. */
const line =
  /^(?:# (?:HELP|TYPE) [a-zA-Z_:][\w:]* .+|([a-zA-Z_:][\w:]*)(\{(?:[a-zA-Z_]\w*="(?:[^"\\\n]|\\["\\n])*",?)*\})? (-?(?:\d[\d.e+-]*|\+?Inf)|NaN|Nan))$/
const counted = async (name: string, labels: Record<string, string>): Promise<number> => {
  const found = (await metrics.text()).split('\n').find((text) => {
    const [, named, said = ''] = line.exec(text) ?? []
    return named === name && Object.entries(labels).every(([k, v]) => said.includes(`${k}="${v}"`))
  })
  return Number(found?.split(' ').at(-1) ?? 0)
}

it('counts requests by the contract’s route and refusals by code, without personal data', async () => {
  const teacher = await server.teacher('marisol@island.example')
  const { publication } = await sentSession(teacher)
  const { token } = publication
  await server.browser().get(`/api/go/${token}`).expect(200)
  await server.browser().get('/api/me').expect(401)
  await server.browser().get('/api/no-such-thing').expect(404)
  const requests = 'esfuerzo_http_request_seconds_count'
  expect(await counted(requests, { method: 'GET', route: '/api/go/:token', status: '200' })).toBe(1)
  expect(await counted(requests, { method: 'POST', route: '/api/workouts', status: '200' })).toBe(1)
  expect(await counted(requests, { route: 'pages', status: '404' })).toBe(1)
  expect(await counted('esfuerzo_errors_total', { code: 'sign-in-needed' })).toBe(1)
  const text = await metrics.text()
  expect(text).not.toContain(token)
  expect(text).not.toMatch(/island\.example/)
  for (const name of ['process_cpu_seconds_total', 'nodejs_eventloop_lag_seconds', 'esfuerzo_database_connections'])
    expect(text).toContain(`# HELP ${name} `)
  // The format, according to https://prometheus.io/docs/instrumenting/exposition_formats/ (from memory).
  expect(
    text
      .trimEnd()
      .split('\n')
      .filter((l) => l !== '' && !line.test(l)),
  ).toEqual([])
})

it('logs a slow statement with its text and duration, and without its values', async () => {
  const before = await counted('esfuerzo_database_slow_statements_total', {})
  await server.db.raw('select pg_sleep(?), ?::text as secret', [0.1, 'marisol@island.example'])
  await server.db.raw('select 1')
  // On a busy machine others are slow too, so this one is looked for by its text, and counted as at least one.
  expect(await counted('esfuerzo_database_slow_statements_total', {})).toBeGreaterThan(before)
  const slow = server.logged
    .filter((line) => line.includes('a slow statement'))
    .map((line) => JSON.parse(line) as { level: number; statement: string; ms: number })
  const [mine, ...others] = slow.filter(({ statement }) => statement.startsWith('select pg_sleep('))
  expect(others).toEqual([])
  expect(mine).toMatchObject({ level: 40 })
  for (const { ms } of slow) expect(ms).toBeGreaterThanOrEqual(95)
  expect(server.logged.join('')).not.toContain('marisol@island.example')
})

it('counts the messages that are sent and those that fail', async () => {
  const letter = { to: 'a@island.example', subject: 'x', text: 'y' }
  const post = { send: async () => {}, ready: async () => true, forget: async () => {} }
  await metrics.countedPost(post).send(letter)
  const broken = metrics.countedPost({ ...post, send: () => Promise.reject(new Error('away')) })
  await expect(broken.send(letter)).rejects.toThrow('away')
  expect(await counted('esfuerzo_messages_total', { outcome: 'sent' })).toBe(1)
  expect(await counted('esfuerzo_messages_total', { outcome: 'failed' })).toBe(1)
})

it('has a port of its own with one page, and none on the pages’ port', async () => {
  const door = supertest(metricsApp(express(), metrics))
  const { headers, text } = await door.get('/metrics').expect(200)
  expect(headers['content-type']).toMatch(/^text\/plain; version=0\.0\.4/)
  expect(text).toContain('# TYPE esfuerzo_http_request_seconds histogram')
  await door.get('/api/me').expect(404)
  await server.browser().get('/metrics').expect(404)
})

it('the built server opens that port where it is told to, and nowhere else', async () => {
  const port = await freePort(4440)
  const door = await freePort(port + 1)
  const folder = join(tmpdir(), 'esfuerzo-metrics')
  const built = await startServer({
    folder,
    databaseUrl: inject('databaseUrl'),
    port,
    env: { METRICS_PORT: String(door) },
  })
  const text = await (await fetch(`http://127.0.0.1:${door}/metrics`)).text()
  expect(text).toContain('esfuerzo_well{part="database"} 1')
  expect((await fetch(`http://127.0.0.1:${door}/healthz`)).status).toBe(404)
  await built.stop('SIGTERM')
  await expect(fetch(`http://127.0.0.1:${door}/metrics`)).rejects.toThrow()
})
