import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, inject, it } from 'vitest'
import { freePort } from '../../scripts/ports.mjs'
import { startServer } from '../../scripts/stack.mjs'

it('told to stop, it reports that for a while, then accepts no new request, and finishes the running one', async () => {
  const port = await freePort(4400)
  const folder = join(tmpdir(), 'esfuerzo-shutdown')
  const server = await startServer({ folder, databaseUrl: inject('databaseUrl'), port, env: { DRAIN: '2' } })
  const url = `http://127.0.0.1:${port}`
  const body = JSON.stringify({ email: 'nobody@island.example', password: 'wrong' })

  // A sign-in whose body is still being sent when the server is told to stop.
  const slow = request(`${url}/api/session`, {
    method: 'POST',
    headers: {
      origin: url,
      expect: '100-continue',
      'content-type': 'application/json',
      'content-length': Buffer.byteLength(body),
    },
  })
  const answered = new Promise<number>((resolve, reject) => {
    slow.once('response', (response) => resolve(response.resume().statusCode!))
    slow.once('error', reject)
  })
  // The server has read its head and waits for the body.
  const begun = new Promise((resolve) => slow.once('continue', resolve))
  slow.flushHeaders()
  await begun
  slow.write(body.slice(0, 10))
  expect((await fetch(`${url}/healthz`)).status).toBe(200)

  const began = Date.now()
  const stopped = server.stop('SIGTERM')
  // A proxy is told first, and has time to send requests elsewhere.
  await expect
    .poll(async () => (await (await fetch(`${url}/healthz`)).json()) as { status: string })
    .toMatchObject({ status: 'stopping' })
  expect((await fetch(`${url}/healthz`)).status).toBe(503)
  // Requests that still arrive are answered as usual.
  expect((await fetch(`${url}/api/me`)).status).toBe(401)

  await expect
    .poll(
      () =>
        fetch(`${url}/healthz`).then(
          () => 'up',
          () => 'down',
        ),
      { timeout: 60_000 },
    )
    .toBe('down')
  expect(Date.now() - began).toBeGreaterThanOrEqual(2000)
  slow.end(body.slice(10))
  expect(await answered).toBe(401)
  await stopped
})
