import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import type { Run } from '@esfuerzo/core/run'
import { openCluster } from '../scripts/database.mjs'
import { freePort } from '../scripts/ports.mjs'
import { root, startServer } from '../scripts/stack.mjs'
import { openDatabase } from '../server/src/base/database.ts'
import { demoSignIn } from '../server/src/demo/addDemo.ts'
import { Book, differencesFrom } from './book.ts'
import { asker, clientsOf } from './clients.ts'
import { columnsOf, contents } from './contents.ts'
import { Load, type Saver, type Sender, type Titled } from './load.ts'
import { openAll } from './opened.ts'
import type { Release } from './release.ts'

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** The result of an upgrade from a release. */
export interface Upgrade {
  release: Release
  /** Milliseconds without any answer while one server stopped and the next started; of those, the new one's start. */
  down: number
  start: number
  /** Requests that opened existing data. */
  opened: number
  /** Milliseconds without an acknowledgment while the new release started beside the old one. */
  pause: number
  acknowledged: number
  /** Saves and runs that the old release answered with 500 meanwhile. No later release can mend that; they are retried. */
  faulted: number
  /** What went wrong; empty if all is well. */
  wrong: string[]
}

/** Tables whose rows servers clean up, or that record the database's migrations. */
const others = ['sign_ins', 'limits', 'knex_migrations', 'knex_migrations_lock']

/** The columns compared with the old release's rows: all, except those recomputed from runs since pupils exist. */
function keptColumns(columns: Record<string, string[]>, { schema }: Release): Record<string, string[]> {
  const kept = { ...columns }
  if (kept.runs) kept.runs = kept.runs.filter((column) => column !== 'has_rows')
  if (schema < '012') delete kept.results
  return kept
}

/**
 * Upgrades from an earlier release, twice: stopping one server before the next starts, and both running side by side, each under load. The
 * database is the old release's own, with its demo.
 */
export async function upgradeFrom(release: Release): Promise<Upgrade> {
  const cluster = await openCluster(join(root, '.cache', 'postgres-upgrade'), {
    durable: true,
    fresh: true,
    port: await freePort(54_760),
  })
  const ports = { old: await freePort(4560), now: await freePort(4570) }
  const url = { old: `http://127.0.0.1:${ports.old}`, now: `http://127.0.0.1:${ports.now}` }
  const serving = (database: string): Serving => ({
    url,
    databaseUrl: cluster.url(database),
    start: (at, release, env) =>
      startServer({
        databaseUrl: cluster.url(database),
        port: ports[at],
        folder: join(root, '.cache', 'upgrade'),
        env: {
          DEMO: 'false',
          TRUST_PROXY: 'true',
          PUBLIC_ORIGIN: url.old,
          LOG_LEVEL: process.env.LOG_LEVEL ?? 'fatal',
          ...env,
        },
        release: release?.folder,
      }),
  })
  try {
    await cluster.create('alone')
    // Its demo, added separately: there is none if outside connections are possible.
    const filling = await serving('alone').start('old', release, { DEMO: 'true', PUBLIC_ORIGIN: undefined })
    await filling.stop()
    await cluster.create('beside', 'alone')
    const alone = await oneAfterTheOther(release, serving('alone'))
    const beside = await sideBySide(release, serving('beside'))
    return { release, ...alone, ...beside, wrong: [...alone.wrong, ...beside.wrong] }
  } finally {
    await cluster.stop('immediate')
  }
}

/** Where the pages of both releases are, and how to start a server of each; ours by default. */
interface Serving {
  url: Record<'old' | 'now', string>
  databaseUrl: string
  start: (
    at: 'old' | 'now',
    release?: Release,
    env?: Record<string, string | undefined>,
  ) => ReturnType<typeof startServer>
}

/** Stops the old server and starts the new one: every row is compared, and everything is opened. */
async function oneAfterTheOther(
  release: Release,
  { url, databaseUrl, start }: Serving,
): Promise<Pick<Upgrade, 'down' | 'start' | 'opened' | 'wrong'>> {
  const db = openDatabase(databaseUrl)
  const columns = keptColumns(await columnsOf(db), release)
  const before = await contents(db, columns)
  const old = await start('old', release)
  const ending = Date.now()
  await old.stop()
  const starting = Date.now()
  const now = await start('old')
  const up = Date.now()
  const after = await contents(db, columns)
  const unequal = Object.keys(before).filter((table) => before[table] !== after[table] && !others.includes(table))
  const { cookie } = await asker(url.old)('/api/session', 'POST', demoSignIn)
  const opened = await openAll(url.old, cookie)
  await now.stop()
  await db.destroy()
  return {
    down: up - ending,
    start: up - starting,
    opened: opened.well,
    wrong: [...unequal.map((table) => `table ${table} is not what it was`), ...opened.wrong],
  }
}

interface Client {
  saver: Saver
  sender: Sender
}

/** Both releases on one database: pages of the old one continue with it, pages of the new one start with the other. */
async function sideBySide(
  release: Release,
  { url, databaseUrl, start }: Serving,
): Promise<Pick<Upgrade, 'pause' | 'acknowledged' | 'faulted' | 'wrong'>> {
  const wrong: string[] = []
  const old = await start('old', release)
  const [oldBook, newBook] = [new Book(), new Book()]
  const oldClients = await settledAsBefore(url.old, 4)
  for (const { saver } of oldClients) oldBook.saves.set(saver.id, { title: saver.document.title, revision: 1 })
  const oldLoad = new Load(url.old, url.old, oldBook, 200)
  oldLoad.start(
    oldClients.map((c) => c.saver),
    oldClients.map((c) => c.sender),
  )
  await pause(2000)

  const began = Date.now()
  const now = await start('now')
  await pause(500)
  const pauseOfOld = oldBook.longestPause(began, Date.now())
  // Requests from the new release's pages have its origin.
  const { settle, found } = clientsOf({ url: url.now, origin: url.old, databaseUrl })
  const newClients: Client[] = []
  for (let i = 0; i < 4; i++) newClients.push(await settle(i))
  for (const { saver } of newClients) newBook.saves.set(saver.id, { title: 'Save 0', revision: 1 })
  const newLoad = new Load(url.now, url.old, newBook, 200)
  newLoad.start(
    newClients.map((c) => c.saver),
    newClients.map((c) => c.sender),
  )
  await pause(3000)

  // The old release reads what the new one writes, and ours reads what the old one wrote.
  for (const { saver } of newClients) {
    const answer = await fetch(`${url.old}/api/workouts/${saver.id}`, { headers: { cookie: saver.cookie } })
    if (!answer.ok) wrong.push(`what the new release saved was answered ${answer.status} by the old one`)
  }
  for (const { saver } of oldClients) {
    const answer = await fetch(`${url.now}/api/workouts/${saver.id}`, { headers: { cookie: saver.cookie } })
    if (!answer.ok) wrong.push(`what the old release saved was answered ${answer.status} by the new one`)
  }
  await oldLoad.stop()
  await old.stop()
  await pause(500)
  await newLoad.stop()
  const ids = (clients: readonly Client[]) => clients.map((c) => c.saver.id)
  const isFault = (line: string) => line.includes('was answered 500')
  const differences = differencesFrom(oldBook, await found(ids(oldClients)))
  wrong.push(...differences.filter((line) => !isFault(line)))
  wrong.push(...differencesFrom(newBook, await found(ids(newClients))))
  await now.stop()
  const sum = (book: Book) => book.counts.saves + book.counts.runs
  return {
    wrong,
    pause: pauseOfOld,
    acknowledged: sum(oldBook) + sum(newBook),
    faulted: differences.filter(isFault).length,
  }
}

/** Teachers' pages of the old release with its documents: sessions of its demo, sent home, with a run for one. */
async function settledAsBefore(url: string, many: number): Promise<Client[]> {
  const ask = asker(url)
  const { cookie } = await ask('/api/session', 'POST', demoSignIn)
  const get = async <T>(path: string) => (await ask(path, 'GET', undefined, cookie)).body as T
  const { runs } = await get<{ runs: { workoutId: string; run: Run }[] }>('/api/runs')
  const came = new Map(runs.map(({ workoutId: sessionId, run }) => [sessionId, run]))
  const clients: Client[] = []
  for (const [sessionId, run] of [...came].slice(0, many)) {
    const { document } = await get<{ document: Titled }>(`/api/workouts/${sessionId}`)
    const { id } = (await ask('/api/workouts', 'POST', { document }, cookie)).body as { id: string }
    const sent = await ask(`/api/workouts/${id}/publications`, 'POST', { revision: 1, days: 7 }, cookie)
    const { token, sha256 } = sent.body as { token: string; sha256: string }
    clients.push({
      saver: { cookie, id, document, revision: 1 },
      sender: { token, run: { ...run, id: randomUUID(), publication: sha256 } },
    })
  }
  return clients
}
