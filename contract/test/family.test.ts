import { expect, it } from 'vitest'
import type { Run } from '@esfuerzo/core/run'
import { endpoints } from '../src/index.ts'
import { familyClient } from '../src/family.ts'

it('a family’s page uses the addresses of the contract, and never puts a pupil’s key into an address', async () => {
  const sent: { method: string; url: string; headers: Record<string, string> }[] = []
  const client = familyClient((url, init) => {
    sent.push({
      method: init!.method!,
      url: String(url),
      headers: (init!.headers ?? {}) as Record<string, string>,
    })
    return Promise.resolve(new Response('{}'))
  })
  const [token, sha256] = ['T'.repeat(22), 'a'.repeat(64)]
  await client.resolveLink(token)
  await client.snapshot(sha256)
  await client.giveCode(token, 'KT7M')
  await client.sendRun(token, {} as Run, 'the-key')
  await client.sendRun(token, {} as Run)
  const at = (name: 'resolveLink' | 'snapshot' | 'giveCode' | 'sendRun') =>
    `${endpoints[name].method} ${endpoints[name].path.replace(':token', token).replace(':sha256', sha256)}`
  expect(sent.map(({ method, url }) => `${method} ${url}`)).toEqual([
    at('resolveLink'),
    at('snapshot'),
    at('giveCode'),
    at('sendRun'),
    at('sendRun'),
  ])
  expect(sent.map(({ headers }) => headers['pupil-key'])).toEqual([
    undefined,
    undefined,
    undefined,
    'the-key',
    undefined,
  ])
})
