import { execFile } from 'node:child_process'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { command, ownedFolder, reachableFolder } from '../scripts/database.mjs'
import { needPostgres } from '../scripts/machine.mjs'
import { freePort } from '../scripts/ports.mjs'
import { root } from '../scripts/stack.mjs'
import { openDatabase } from '../server/src/base/database.ts'
import { Book } from './book.ts'
import { clientsOf } from './clients.ts'
import { openHouse } from './house.ts'
import { Load } from './load.ts'

const run = promisify(execFile)
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** The result of losing the only machine, with a standby that may be behind. */
export interface Loss {
  acknowledged: number
  /** Of those, how many the standby did not have, and how many milliseconds before the loss the oldest was written. */
  lost: number
  age: number
  /** The standby's largest lag before the loss, in milliseconds. */
  lag: number
  /** Milliseconds from the loss until the server answered from the standby. */
  back: number
}

/** The commands of docs/operations.md, *One machine and a standby*. */
async function openStandby(primaryUrl: string) {
  const programs = needPostgres() as string
  const pg = (name: string, args: string[]) => {
    const [program, words] = command(join(programs, name), args) as [string, string[]]
    return run(program, words, { cwd: '/' })
  }
  const wanted = reachableFolder(join(root, '.cache', 'postgres-standby'))
  await pg('pg_ctl', ['stop', '-D', join(wanted, 'data'), '-m', 'immediate']).catch(() => {})
  rmSync(wanted, { recursive: true, force: true })
  const folder = ownedFolder(wanted)
  const data = join(folder, 'data')
  const port = await freePort(54_780)
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=''`
  await pg('pg_basebackup', ['-d', primaryUrl, '-D', data, '-R', '-X', 'stream', '-c', 'fast'])
  await pg('pg_ctl', ['start', '-D', data, '-w', '-s', '-l', join(folder, 'log'), '-o', options])
  const url = new URL(primaryUrl)
  url.port = String(port)
  return {
    url: url.href,
    promote: () => pg('pg_ctl', ['promote', '-D', data, '-w', '-s']),
    stop: () => pg('pg_ctl', ['stop', '-D', data, '-m', 'immediate']),
  }
}

async function revisionsIn(url: string): Promise<Map<string, number>> {
  const db = openDatabase(url)
  const rows: { id: string; revision: number }[] = await db('workouts').select('id', 'revision')
  await db.destroy()
  return new Map(rows.map(({ id, revision }) => [id, revision]))
}

/** Loses the primary's machine and the server under load, and continues from the standby. */
export async function machineLost(): Promise<Loss> {
  const house = await openHouse()
  const standby = await openStandby(house.databaseUrl)
  try {
    const book = new Book()
    const people = []
    for (let i = 0; i < 6; i++) people.push(await house.settle(i))
    for (const { saver } of people) book.saves.set(saver.id, { title: 'Save 0', revision: 1 })
    const load = new Load(house.url, house.url, book, 60)
    load.start(
      people.map((c) => c.saver),
      people.map((c) => c.sender),
    )
    let lag = 0
    const db = openDatabase(house.databaseUrl)
    for (let i = 0; i < 40; i++) {
      const { rows } = await db.raw<{ rows: { ms: number }[] }>(
        'select coalesce(1000 * extract(epoch from max(replay_lag)), 0)::float as ms from pg_stat_replication',
      )
      lag = Math.max(lag, rows[0]!.ms)
      await pause(200)
    }
    await db.destroy()
    const at = Date.now()
    await house.loseMachine()
    const [runs, saves, acknowledged] = [[...book.runs.keys()], [...book.saves], book.counts.saves + book.counts.runs]
    await standby.promote()
    const had = await revisionsIn(standby.url)
    await house.startOn(standby.url)
    const back = Date.now() - at
    await load.stop()
    const found = await clientsOf({ url: house.url, databaseUrl: standby.url }).found(saves.map(([id]) => id))
    const there = new Set(found.runs.map((r) => r.id))
    const lost = runs.filter((id) => !there.has(id))
    // Saves after the loss start from what the standby had.
    for (const [id, { revision }] of saves)
      for (let one = revision; one > (had.get(id) ?? 0); one--) lost.push(`${id} ${one}`)
    return {
      acknowledged,
      lost: lost.length,
      age: at - Math.min(at, ...lost.map((what) => book.toldAt(what)!)),
      lag,
      back,
    }
  } finally {
    await house.close().catch(() => {})
    await standby.stop().catch(() => {})
  }
}
