import { afterAll, beforeAll, expect, it } from 'vitest'
import { seededRandom } from '../../core/src/distribution/seededRandom.ts'
import { newSettings, partOf } from '@esfuerzo/core'
import { endpoints, type EndpointName } from '@esfuerzo/contract'
import { mutated } from '../../core/test/support/mutate.ts'
import { samples } from '../../core/test/support/samples.ts'
import { defaultLimits, type Limits } from '../src/http/limits.ts'
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
const many = { points: 1_000_000, seconds: 60 }
beforeAll(async () => {
  const limits = Object.fromEntries(Object.keys(defaultLimits).map((name) => [name, many])) as unknown as Limits
  server = await testServer(limits)
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())

/** Whatever it is, as an address carries it. */
const queryOf = (query: unknown): string =>
  Object.entries(query ?? {})
    .map(
      ([key, value]) => `${encodeURIComponent(key.toWellFormed())}=${encodeURIComponent(String(value).toWellFormed())}`,
    )
    .join('&')

it('mutated requests to every route crash nothing, are answered below 500, and leave the log without anybody’s words', async () => {
  const random = seededRandom(28)
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!
  const { workoutId, publication } = await sentWorkout(own)
  const part = partOf(smallWorkout(), smallWorkout().sections[1]!)
  const secret = 'a secret that is in no log'
  const bodies: Partial<Record<EndpointName, unknown>> = {
    signIn: { email: 'nobody@island.example', password: secret },
    signUp: { name: 'New', email: 'new@island.example', zone: 'UTC' },
    forgotPassword: { email: 'nobody@island.example' },
    choosePassword: { token: 'A'.repeat(22), password: secret },
    signInByLink: { token: 'A'.repeat(22) },
    changePassword: { current: secret, next: secret },
    rename: { name: 'Renamed' },
    saveSettings: newSettings('UTC'),
    createWorkout: { document: smallWorkout(secret) },
    saveWorkout: { revision: 1, document: smallWorkout(secret) },
    keepVersion: { name: 'Kept' },
    sendCopy: { email: 'colleague@island.example' },
    keepPart: { name: 'Springs', part },
    keepOwnMoves: { format: 'esfuerzo.moves', version: 1, moves: [ownSquat()] },
    publishWorkout: { revision: 1, days: 7 },
    endPublication: { misused: false },
    sendRun: runOf(publication),
    addClass: { name: '2b', grades: [2] },
    messageFamilies: { to: 'families@island.example', subject: 'Springs', text: secret },
  }
  const queries: Partial<Record<EndpointName, Record<string, string>>> = {
    calendar: { days: '2026-03-02', at: '09:00' },
    listRuns: { before: `2026-03-01T10:00:00.000Z~${workoutId}`, workout: workoutId },
    familySheet: { lanes: 'g1', language: 'es', paper: 'letter' },
    sheet: { lanes: 'g1,g2', language: 'en', paper: 'a4' },
  }
  // What ends the sign-in or the session itself would end the trial.
  const left = new Set<EndpointName>(['signOut', 'signOutEverywhere', 'deleteAccount', 'removeWorkout', 'exportAll'])
  const names = (Object.keys(endpoints) as EndpointName[]).filter((name) => !left.has(name))
  const ids = {
    ':id': workoutId,
    ':token': publication.token,
    ':sha256': publication.sha256,
    ':kind': 'care',
    ':version': workoutId,
  }
  const odd = ['%00', '%ff', '..%2f', 'é', "'", '%F0%9F', '9'.repeat(40), 'null']
  for (let i = 0; i < samples(700, 10_000); i++) {
    const name = names[i % names.length]!
    const { method, path } = endpoints[name]
    const id = ['calendar', 'messageFamilies', 'endPublication'].includes(name) ? publication.id : workoutId
    const address = path
      .replaceAll(/:\w+/g, (p) =>
        random() < 0.1 ? pick(odd) : p === ':id' ? id : ((ids as Record<string, string>)[p] ?? 'x'),
      )
      .concat(`?${queryOf(mutated(queries[name] ?? {}, random))}`)
    const request = own[method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'](address)
    const body = mutated(bodies[name] ?? {}, random)
    const answer = await (method === 'GET' ? request : request.type('json').send(JSON.stringify(body) ?? ''))
    if (answer.status >= 500)
      throw new Error(
        `${method} ${address} with ${JSON.stringify(body).slice(0, 600)} was answered ${answer.status} ${JSON.stringify(answer.body)}\n${server.logged.at(-1)}`,
      )
  }
  await server.flush()
  await own.get('/api/me').expect(200)
  expect(server.logged.filter((line) => line.includes(secret))).toEqual([])
  expect(server.logged.filter((line) => line.includes('"level":50'))).toEqual([])
})
