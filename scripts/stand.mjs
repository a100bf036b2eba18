// npm run stand: several machines on one, as deploy/ describes them: three database nodes under Patroni over three of etcd, two servers of
// the pages, HAProxy in front of both. All on loopback, nothing as root.
import { spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needBuild } from './build.mjs'
import { command, ownedFolder, reachableFolder } from './database.mjs'
import { giveUp, needClusterTools, postgresPrograms, say } from './machine.mjs'
import { needPackages } from './packages.mjs'
import { isFree } from './ports.mjs'
import { startServer } from './stack.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const host = '127.0.0.1'
/** Every program has a fixed port; if one is taken, the stand reports it. */
const ports = {
  pages: 4220,
  servers: [4221, 4222],
  database: 54_900,
  nodes: [54_901, 54_902, 54_903],
  rest: [54_911, 54_912, 54_913],
  etcd: [54_921, 54_922, 54_923],
  peers: [54_931, 54_932, 54_933],
}
const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** A file of deploy/ with its {{…}} placeholders filled in. @throws if a placeholder has no value */
export function filled(file, values) {
  const text = readFileSync(join(root, 'deploy', file), 'utf8')
  return text.replace(/\{\{(\w+)\}\}/g, (_, name) => {
    if (!(name in values)) throw new Error(`filled: ${file} asks for {{${name}}}`)
    return values[name]
  })
}

/**
 * A program that runs until it is killed together with everything it started, as when a machine loses power.
 *
 * @param {string} [pidFile] of a process that it starts and that leaves its process group
 */
function startProgram(log, program, words, pidFile) {
  const out = openSync(log, 'a')
  const [name, all] = command(program, words)
  const child = spawn(name, all, {
    cwd: '/',
    detached: true,
    stdio: ['ignore', out, out],
  })
  const gone = new Promise((resolve) => child.once('exit', resolve))
  const killNow = (pid) => {
    try {
      process.kill(pid, 'SIGKILL')
    } catch {
      // It is gone already.
    }
  }
  return {
    kill() {
      killNow(-child.pid)
      if (pidFile && existsSync(pidFile)) killNow(Number(readFileSync(pidFile, 'utf8').split('\n')[0]))
      return gone
    },
  }
}

/** Polls until a condition is true. @throws after a number of seconds, naming the condition */
async function until(what, seconds, ask) {
  const end = Date.now() + seconds * 1000
  for (;;) {
    const found = await ask().catch(() => undefined)
    if (found) return found
    if (Date.now() > end) throw new Error(`until: ${what} was waited for in vain for ${seconds} s`)
    await pause(200)
  }
}

const get = (port, path) => fetch(`http://${host}:${port}${path}`, { signal: AbortSignal.timeout(2000) })

/**
 * Starts everything, empty.
 *
 * @returns {Promise<Stand>}
 * @typedef {Awaited<ReturnType<typeof openStand>>} Stand
 */
export async function openStand() {
  needClusterTools()
  needBuild(root)
  for (const port of Object.values(ports).flat())
    if (!(await isFree(port)))
      giveUp(`Port ${port} is taken: another stand may be running. End it, then run the same command again.`)
  const folder = reachableFolder(join(root, '.cache', 'stand'))
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const password = randomBytes(24).toString('base64url')
  const secret = randomBytes(48).toString('base64url')

  const etcds = ports.etcd.map((client, i) => ({ name: `etcd${i + 1}`, client, peer: ports.peers[i] }))
  const together = etcds.map((e) => `${e.name}=http://${host}:${e.peer}`).join(',')
  for (const { name, client, peer } of etcds) {
    const values = { name, host, client, peer, folder: join(folder, name), members: together }
    writeFileSync(join(folder, `${name}.yml`), filled('etcd.yml', values))
  }
  const startEtcd = ({ name }) =>
    startProgram(join(folder, `${name}.log`), '/usr/bin/etcd', ['--config-file', join(folder, `${name}.yml`)])

  const nodes = ports.nodes.map((port, i) => {
    const name = `db${i + 1}`
    const own = join(folder, name)
    mkdirSync(own)
    const values = {
      name,
      host,
      port,
      rest: ports.rest[i],
      etcd: etcds.map((e) => `${host}:${e.client}`).join(','),
      network: `${host}/32`,
      folder: own,
      programs: postgresPrograms(),
      password,
    }
    writeFileSync(join(own, 'patroni.yml'), filled('patroni.yml', values), { mode: 0o600 })
    return { name, own, rest: ports.rest[i] }
  })
  const startNode = ({ name, own }) =>
    startProgram(
      join(folder, `${name}.log`),
      '/usr/bin/patroni',
      [join(own, 'patroni.yml')],
      join(own, 'data', 'postmaster.pid'),
    )

  const proxyFile = join(folder, 'haproxy.cfg')
  const databases = nodes.map((n, i) => `  server ${n.name} ${host}:${ports.nodes[i]} check port ${n.rest}`)
  const servers = ports.servers.map((port, i) => `  server web${i + 1} ${host}:${port} check`)
  writeFileSync(
    proxyFile,
    filled('haproxy.cfg', {
      host,
      databasePort: ports.database,
      pagesPort: ports.pages,
      user: '',
      tls: '',
      databases: databases.join('\n'),
      servers: servers.join('\n'),
    }),
  )
  ownedFolder(folder)

  const running = new Map()
  const pages = []
  const close = async () => {
    for (const server of pages) await server.stop()
    for (const program of [...running.values()].reverse()) await program.kill()
  }
  // If one program fails to start, the others are stopped.
  process.once('exit', () => [...running.values()].forEach((program) => program.kill()))
  for (const etcd of etcds) running.set(etcd.name, startEtcd(etcd))
  for (const node of nodes) running.set(node.name, startNode(node))
  running.set('proxy', startProgram(join(folder, 'proxy.log'), '/usr/sbin/haproxy', ['-db', '-f', proxyFile]))

  /** What the nodes report: which one leads, and which follow in sync. */
  const members = async () => {
    for (const { rest } of nodes) {
      const said = await get(rest, '/cluster').then(
        (r) => r.json(),
        () => undefined,
      )
      if (said?.members) return said.members
    }
    throw new Error('members: no node answers')
  }
  const whole = (list) =>
    list.length === nodes.length &&
    list.some((m) => m.role === 'leader' && m.state === 'running') &&
    list.some((m) => m.role === 'sync_standby') &&
    list.every((m) => ['running', 'streaming'].includes(m.state))
  /** Waits until there is a primary and both others follow it, one of them in sync. */
  const settled = (seconds = 120) =>
    until('a primary with two standbys', seconds, async () => {
      const list = await members()
      return whole(list) && list
    })
  await settled()

  const url = (database) => `postgres://postgres:${password}@${host}:${ports.database}/${database}`
  const { default: pg } = await import('pg')
  await until('the door to the database', 20, async () => {
    const client = new pg.Client(url('postgres'))
    await client.connect()
    await client.query(`create role esfuerzo login password '${password}'`)
    await client.query('create database esfuerzo owner esfuerzo')
    await client.end()
    return true
  })
  const databaseUrl = `postgres://esfuerzo:${password}@${host}:${ports.database}/esfuerzo`
  const startPages = (port) =>
    startServer({
      databaseUrl,
      port,
      folder: join(root, '.cache', `stand-web-${port}`),
      env: {
        SECRET: secret,
        TRUST_PROXY: 'true',
        DEMO: 'false',
        DRAIN: '3',
        OUTBOX: join(root, '.cache', 'stand-outbox'),
      },
    })
  for (const port of ports.servers) pages.push(await startPages(port))
  const front = `http://${host}:${ports.pages}`
  await until('the pages', 20, async () => (await fetch(`${front}/healthz`)).ok)

  const nameOf = async (role) => (await members()).find((m) => m.role === role)?.name
  /** Kills a whole database node or etcd, like a power cut. */
  const kill = (name) => running.get(name).kill()
  return {
    url: front,
    databaseUrl,
    settled,
    primary: () => nameOf('leader'),
    /** The synchronous standby, which takes over. */
    standby: () => nameOf('sync_standby'),
    kill,
    /** Waits until the others have noticed that one is gone and have led without it for a while. */
    async withoutIt(name) {
      await until('another primary', 60, async () => (await nameOf('leader')) !== name)
      await pause(8000)
    },
    /** Starts a killed node again; it rejoins by itself. */
    revive(name) {
      const etcd = etcds.find((e) => e.name === name)
      running.set(name, etcd ? startEtcd(etcd) : startNode(nodes.find((n) => n.name === name)))
    },
    /** Hands the lead to the synchronous standby, as before maintenance of a machine. */
    async switchOver() {
      const [leader, candidate] = [await nameOf('leader'), await nameOf('sync_standby')]
      const { rest } = nodes.find((n) => n.name === leader)
      const answer = await fetch(`http://${host}:${rest}/switchover`, {
        method: 'POST',
        headers: { authorization: `Basic ${Buffer.from(`esfuerzo:${password}`).toString('base64')}` },
        body: JSON.stringify({ leader, candidate }),
      })
      if (!answer.ok) throw new Error(`switchOver was answered ${answer.status} ${await answer.text()}`)
    },
    /** Stops a server of the pages and starts it again. @param signal `SIGTERM` as in an upgrade, `SIGKILL` as in a power cut */
    async restartPages(i, signal) {
      await pages[i].stop(signal)
      pages[i] = await startPages(ports.servers[i])
      // The proxy notices within a second.
      await pause(2500)
    },
    close,
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  needPackages(root)
  const stand = await openStand()
  const said = (await stand.settled()).map((m) => `${m.name} ${m.role}`).join(', ')
  console.log(`\n  Esfuerzo is at  ${stand.url}\n  ${said}\n  Ctrl-C stops everything.\n`)
  const stop = async () => {
    say('stopping …')
    await stand.close()
    process.exit(0)
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
}
