import { describe, expect, it } from 'vitest'
import { callCode, CallError, createClient, endpoints, errorStatus } from '../src/index.ts'

/** A client with a scripted server, and the requests it sent. */
function clientThat(answers: () => Response | Promise<Response>) {
  const sent: [url: string, init: RequestInit | undefined][] = []
  const client = createClient((url, init) => {
    sent.push([String(url), init])
    return Promise.resolve(answers())
  })
  return { client, sent }
}
const json = (status: number, body: unknown) => () => new Response(JSON.stringify(body), { status })
const errorOf = (promise: Promise<unknown>) =>
  promise.then(
    () => undefined,
    (error: CallError) => error,
  )
const id = '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d'

describe('the client', () => {
  it('puts params into the path and the query, and sends no body if there is none', async () => {
    const { client, sent } = clientThat(json(200, { runs: [] }))
    expect(await client('listRuns', { query: { workout: id } })).toEqual({ runs: [] })
    await client('listRuns', { query: {} })
    await client('resolveLink', { params: { token: 'a/b?c' } })
    expect(sent.map(([url, init]) => [init?.method, url, init?.body])).toEqual([
      ['GET', `/api/runs?workout=${id}`, undefined],
      ['GET', '/api/runs', undefined],
      ['GET', '/api/go/a%2Fb%3Fc', undefined],
    ])
  })

  it('sends a body as JSON', async () => {
    const { client, sent } = clientThat(json(200, {}))
    await client('signIn', { body: { email: 'a@b.example', password: 'x' } })
    expect(sent[0]![1]).toMatchObject({
      method: 'POST',
      body: '{"email":"a@b.example","password":"x"}',
      headers: { 'content-type': 'application/json' },
    })
  })

  it('throws the server’s code and problems', async () => {
    const problems = [{ code: 'unknown-key', path: ['document', 'colour'] }]
    const { client } = clientThat(json(400, { code: 'invalid', detail: 'document.colour: …', problems }))
    const error = await errorOf(client('readSession', { params: { id } }))
    expect(error).toBeInstanceOf(CallError)
    expect(error).toMatchObject({ code: 'invalid', message: 'document.colour: …', problems })
  })

  it('treats a missing answer, or a proxy’s page instead of ours, as offline', async () => {
    const dead = clientThat(() => Promise.reject(new TypeError('fetch failed')))
    expect(await errorOf(dead.client('me', {}))).toMatchObject({ code: 'offline' })
    const proxy = clientThat(() => new Response('<h1>Bad gateway</h1>', { status: 502 }))
    expect(await errorOf(proxy.client('me', {}))).toMatchObject({ code: 'offline' })
    const odd = clientThat(() => new Response('teapot', { status: 418 }))
    expect(await errorOf(odd.client('me', {}))).toMatchObject({ code: 'unexpected' })
  })
})

describe('the contract', () => {
  it('has each route once, with a schema for every param of its path', () => {
    const routes = Object.values(endpoints).map((e) => `${e.method} ${e.path}`)
    expect(new Set(routes).size).toBe(routes.length)
    for (const [name, e] of Object.entries(endpoints)) {
      const params = [...e.path.matchAll(/:(\w+)/g)].map((m) => m[1])
      expect(Object.keys((e.params as unknown as { shape: object }).shape), name).toEqual(params)
    }
  })

  it('gives families no teacher’s route, and lets nobody write without a limit on the body', () => {
    for (const [name, e] of Object.entries(endpoints)) {
      if (e.access === 'family') expect(e.path, name).toMatch(/^\/api\/go\/:token/)
      expect(e.body.safeParse({ surplus: 1 }).success, name).toBe(false)
    }
  })

  it('gives each kind of error one status, 4xx for the caller’s and 5xx for ours', () => {
    const ours = ['unexpected', 'database-away', 'storage-full', 'mail-away', 'busy']
    for (const [code, status] of Object.entries(errorStatus)) expect(status >= 500, code).toBe(ours.includes(code))
  })
})

it('words a failed call by its code, anything else as unexpected', async () => {
  const away = createClient(() => Promise.reject(new TypeError('network')))
  const failed = await away('listBin', {}).catch((error: unknown) => error)
  expect(callCode(failed)).toBe('offline')
  expect(callCode(new TypeError('no such thing'))).toBe('unexpected')
  expect(callCode(undefined)).toBe('unexpected')
})
