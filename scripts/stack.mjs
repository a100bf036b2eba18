// A complete Esfuerzo for browser tests, pictures and benchmarks: database, pages, server.
import { spawn } from 'node:child_process'
import { rmSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { openCluster } from './database.mjs'
import { needBuild } from './build.mjs'
import { patience } from './patience.mjs'
import { freePort } from './ports.mjs'
import { serverEnvironment, serverWords } from './serverEnvironment.mjs'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))

/** Of every stack. */
export const secret = 'for-tests-only-for-tests-only-for-tests-only'

/**
 * Starts the server and waits until it listens.
 *
 * @param {{ databaseUrl: string, port: number, folder: string, env?: Record<string, string | undefined>, release?: string }} what
 *   `release` is the folder of another release
 * @returns {Promise<{ stop: (signal?: NodeJS.Signals) => Promise<void>, outboxKey?: string, child:
 *   import('node:child_process').ChildProcess }>}
 */
export function startServer({ databaseUrl, port, folder, env = {}, release = root }) {
  const child = spawn(process.execPath, serverWords, {
    cwd: release,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    env: {
      ...serverEnvironment({ ...process.env, ...env }, { privateUrl: databaseUrl, secret, port }),
      OUTBOX: join(folder, 'outbox'),
      DELETIONS: join(folder, 'deletions.jsonl'),
      LOG_LEVEL: env.LOG_LEVEL ?? 'fatal',
      // Nothing may depend on the machine's speed.
      JOB_SECONDS: String(30 * patience),
    },
  })
  const gone = new Promise((resolve) => child.once('exit', resolve))
  const stop = async (signal = 'SIGTERM') => {
    child.kill(signal)
    await gone
  }
  return new Promise((resolve, reject) => {
    child.once('message', ({ outboxKey }) => resolve({ stop, outboxKey, child }))
    child.once('exit', (code) => reject(new Error(`the server stopped with ${code} before it listened`)))
  })
}

/**
 * The users of a stack. Each has its own range of ports: two that look for a free port at the same moment would find the same one, and a
 * port must not be taken while its server is down.
 */
const blocks = ['browser', 'killed', 'cuts', 'shots', 'bench', 'look']

/**
 * Database, pages and server, with the demo.
 *
 * @param {string} name of the throw-away database's folder
 */
export async function startStack(name) {
  needBuild(root)
  const block = blocks.indexOf(name) * 20
  if (block < 0) throw new Error(`startStack: no ports are set aside for "${name}", only for ${blocks.join(', ')}`)
  const cluster = await openCluster(join(root, '.cache', `postgres-${name}`), {
    durable: false,
    fresh: true,
    port: await freePort(54_400 + block),
  })
  await cluster.create('esfuerzo')
  const port = await freePort(4300 + block)
  const databaseUrl = cluster.url()
  // Messages of the last run are of no use.
  const folder = join(root, '.cache', `stack-${name}`)
  rmSync(folder, { recursive: true, force: true })
  let server = await startServer({ databaseUrl, port, folder })
  return {
    url: `http://127.0.0.1:${port}`,
    /** What opens the outbox. */
    outboxKey: server.outboxKey,
    cluster,
    databaseUrl,
    /** As a power cut would. */
    killServer: () => server.stop('SIGKILL'),
    restartServer: async () => void (server = await startServer({ databaseUrl, port, folder })),
    stop: async () => {
      await server.stop()
      await cluster.stop('immediate')
    },
  }
}
