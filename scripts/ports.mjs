import { createServer } from 'node:net'

/** Whether a loopback port is free. */
export const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)))
  })

/** The first free loopback port from a number on. */
export async function freePort(from) {
  for (let port = from; port < from + 200; port++) if (await isFree(port)) return port
  throw new Error(`freePort: no free port from ${from} to ${from + 199}`)
}
