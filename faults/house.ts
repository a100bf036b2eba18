import { join } from 'node:path'
import { openCluster } from '../scripts/database.mjs'
import { needBuild } from '../scripts/build.mjs'
import { freePort } from '../scripts/ports.mjs'
import { root, startServer } from '../scripts/stack.mjs'
import { clientsOf } from './clients.ts'
import type { Blow } from './trial.ts'

/** What a trial's installation uses instead of the machine's own. */
interface Ground {
  /** The database's folder, on a disk that may be filled. */
  disk?: string
  /** For database and server: a clock that may be set. */
  env?: Record<string, string>
}

/** A whole Esfuerzo that may be killed: its own durable database and the shipped server. */
export async function openHouse({ disk, env = {} }: Ground = {}) {
  needBuild(root)
  const cluster = await openCluster(disk ?? join(root, '.cache', 'postgres-faults'), {
    durable: true,
    fresh: true,
    port: await freePort(54_600),
    env,
  })
  await cluster.create('esfuerzo')
  const port = await freePort(4500)
  const url = `http://127.0.0.1:${port}`
  const options = {
    databaseUrl: cluster.url(),
    port,
    folder: join(root, '.cache', 'faults'),
    // Its own address, whatever network path a request took.
    env: {
      DEMO: 'false',
      TRUST_PROXY: 'true',
      PUBLIC_ORIGIN: url,
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'fatal',
      ...env,
    },
  }
  let server = await startServer(options)
  const well = async () => {
    while (
      !(await fetch(`${url}/healthz`).then(
        (r) => r.ok,
        () => false,
      ))
    )
      await new Promise((r) => setTimeout(r, 20))
  }

  return {
    ...clientsOf({ url, databaseUrl: cluster.url() }),
    databaseUrl: cluster.url(),
    /** Of the server. */
    pid: () => server.child.pid!,
    /** Kills the server like a power cut, and starts it again. @returns milliseconds until it listens again */
    async killServer(): Promise<number> {
      const began = Date.now()
      await server.stop('SIGKILL')
      server = await startServer(options)
      return Date.now() - began
    },
    /** Kills the database's first process and starts the database again. @returns milliseconds until a save works */
    async killDatabase(): Promise<number> {
      const began = Date.now()
      await cluster.kill()
      await cluster.start()
      await well()
      return Date.now() - began
    },
    /** Waits until `/healthz` reports that all is well. */
    well,
    /** Freezes the database, or lets it continue. */
    signalDatabase: cluster.signal,
    /** Restarts a database that a full disk has stopped. */
    reviveDatabase: async () => {
      if (!(await cluster.isRunning())) await cluster.start()
    },
    /** Kills all of it at once, like a power cut. */
    async loseMachine(): Promise<void> {
      cluster.signal('SIGKILL')
      await server.stop('SIGKILL')
    },
    /** Starts the server on another database. */
    startOn: async (databaseUrl: string) => void (server = await startServer({ ...options, databaseUrl })),
    async close(): Promise<void> {
      await server.stop()
      await cluster.stop('immediate')
    },
  }
}

/** A number of kills of each, in any order. */
export function killsOf(house: House, kills: { server: number; database: number }): Blow[] {
  const server: Blow = { name: 'server', strike: house.killServer }
  const database: Blow = { name: 'database', strike: house.killDatabase }
  const all = [...Array<Blow>(kills.server).fill(server), ...Array<Blow>(kills.database).fill(database)]
  return all.sort(() => Math.random() - 0.5)
}
export type House = Awaited<ReturnType<typeof openHouse>>
