import { startStack } from '../../scripts/stack.mjs'

/** One whole Esfuerzo for all journeys; each journey makes its own sessions. */
export default async function globalSetup() {
  const stack = await startStack('browser')
  process.env.ESFUERZO_URL = stack.url
  const answer = await fetch(`${stack.url}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: stack.url },
    body: JSON.stringify({ email: 'marisol@island.example', password: 'ferry-on-monday' }),
  })
  if (!answer.ok) throw new Error(`globalSetup: the sign-in was answered with ${answer.status}`)
  process.env.ESFUERZO_COOKIE = answer.headers.getSetCookie()[0]!.split(';')[0]!
  return () => stack.stop()
}
