// Two hundred schools on a Monday, at once: what each kind of request costs the server and the database, how long people wait, which load
// one machine can carry, at five and at twenty times that load; the disk space of a year; and a backup of it all, restored. The requests of
// a school's busiest hour are our estimate. SCHOOLS=… sets another number of schools; SOAK=… instead runs five times the load for that many
// minutes and reports the server's memory.
import { readFileSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { indexLibrary } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import type { Run } from '@esfuerzo/core/run'
import { asker } from '../faults/clients.ts'
import { openHouse } from '../faults/house.ts'
import { restoredAlone } from '../faults/restoredAlone.ts'
import type { Titled } from '../faults/load.ts'
import { secret } from '../scripts/stack.mjs'
import { openDatabase } from '../server/src/base/database.ts'
import { addDemoTeachers } from '../server/src/demo/addDemo.ts'
import { at } from './share.mjs'

const schools = Number(process.env.SCHOOLS ?? 200)
const soak = Number(process.env.SOAK ?? 0)
/**
 * One school has a teacher and twelve classes of 25: a third of the children do the session on Monday, half of them in the busiest hour.
 */
const runsAnHour = 50
const password = 'a password for the bench'

/** One family page, one run, one request of a teacher. */
interface Kind {
  name: string
  /** Requests of one school in its busiest hour. */
  anHour: number
  ask: () => Promise<void>
}

const pick = <T>(list: readonly T[]): T => list[Math.floor(Math.random() * list.length)]!
const byte = () => Math.floor(Math.random() * 256)
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** Processor time of a process and its finished children, in milliseconds. */
function cpuOf(pid: number | string): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'latin1').split(') ').at(-1)!.split(' ')
  return fields.slice(11, 15).reduce((sum, ticks) => sum + Number(ticks), 0) * 10
}

/** The server's resident memory, in MiB. */
const memoryOf = () =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${house.pid()}/status`, 'latin1'))![1]) / 1024)

const house = await openHouse()
const db = openDatabase(house.databaseUrl)
try {
  const library = indexLibrary({ ...libraryData, words: libraryWords })
  const filling = Date.now()
  const teachers = Array.from({ length: schools }, (_, i) => ({ email: `school-${i}@island.example`, password }))
  const now = new Date()
  // A published snapshot is stored only once, so simultaneous writers of the same one wait for the first.
  for (const some of [teachers.slice(0, 1), teachers.slice(1)]) await addDemoTeachers(db, library, secret, now, some)
  await db.raw('vacuum analyze')
  console.log(`${schools} schools filled in ${((Date.now() - filling) / 1000).toFixed(0)} s`)
  const kinds = await kindsOf()
  if (soak) await soaked(kinds)
  else {
    await costs(kinds)
    for (const times of [1, 5, 20]) await waits(kinds, times, 40)
  }
  await room()
  const backedUp = Date.now()
  const { unequal, tables, seconds } = await restoredAlone(house.databaseUrl)
  console.log(
    `backup in ${((Date.now() - backedUp) / 1000 - seconds).toFixed(0)} s with what it is held against, restored in ${seconds.toFixed(0)} s: ${tables} tables, ${unequal.length} of them not equal`,
  )
} finally {
  await db.destroy()
  await house.close()
}
process.exit(0)

/** Processor time of server and database so far. */
async function cpu(): Promise<{ server: number; database: number }> {
  const { rows } = await db.raw<{ rows: { pid: number }[] }>('select pg_backend_pid() as pid')
  const parent = readFileSync(`/proc/${rows[0]!.pid}/stat`, 'latin1').split(') ').at(-1)!.split(' ')[1]!
  const children = readFileSync(`/proc/${parent}/task/${parent}/children`, 'latin1').trim().split(' ')
  return {
    server: cpuOf(house.pid()),
    database: [parent, ...children].reduce((sum, pid) => sum + cpuOf(pid), 0),
  }
}

/** The cost of one request of each kind, four at a time for some seconds; from that, how many schools one core can carry. */
async function costs(kinds: readonly Kind[]): Promise<void> {
  const sum = { server: 0, database: 0 }
  console.log('one of each, in milliseconds of a core: server, database')
  for (const { name, anHour, ask } of kinds) {
    const before = await cpu()
    const until = Date.now() + 6000
    let done = 0
    const lane = async () => {
      for (; Date.now() < until; done++) await ask()
    }
    await Promise.all([lane(), lane(), lane(), lane()])
    const after = await cpu()
    const [server, database] = (['server', 'database'] as const).map((who) => (after[who] - before[who]) / done) as [
      number,
      number,
    ]
    sum.server += server * anHour
    sum.database += database * anHour
    console.log(`  ${name}: ${server.toFixed(1)}, ${database.toFixed(1)}  (${done})`)
  }
  // Half a core is kept in reserve for what this estimate leaves out.
  const enough = (ms: number) => Math.floor((3_600_000 * 0.5) / ms)
  console.log(
    `a school’s busiest hour: ${(sum.server / 1000).toFixed(1)} s of the server, ${(sum.database / 1000).toFixed(1)} s of the database; half a core is enough for ${enough(sum.server)} and ${enough(sum.database)} schools`,
  )
}

/** How long people wait when requests arrive at random, at this multiple of the schools' normal rate. */
async function waits(kinds: readonly Kind[], times: number, seconds: number): Promise<void> {
  const took = new Map(kinds.map(({ name }) => [name, [] as number[]]))
  const wrong: string[] = []
  const running = new Set<Promise<void>>()
  const before = await cpu()
  const until = Date.now() + seconds * 1000
  const arrivals = kinds.map(async ({ name, anHour, ask }) => {
    const between = 3_600_000 / (anHour * schools * times)
    for (;;) {
      const wait = -Math.log(1 - Math.random()) * between
      if (Date.now() + wait > until) return
      await pause(wait)
      const began = performance.now()
      const one = ask()
        .then(() => void took.get(name)!.push(performance.now() - began))
        .catch((error: unknown) => void wrong.push(String(error)))
        .finally(() => running.delete(one))
      running.add(one)
    }
  })
  await Promise.all(arrivals)
  await Promise.all(running)
  const after = await cpu()
  const share = (who: 'server' | 'database') => ((after[who] - before[who]) / (seconds * 10)).toFixed(0)
  console.log(
    `${schools} schools × ${times}, ${seconds} s: server ${share('server')} % of a core, database ${share('database')} %; ${wrong.length} not answered well ${wrong[0] ?? ''}`,
  )
  for (const [name, all] of took)
    if (all.length)
      console.log(`  ${name}: ${all.length}, median ${at(all, 0.5).toFixed(0)} ms, p99 ${at(all, 0.99).toFixed(0)} ms`)
}

/** Everybody at once for a while: the server's peak memory. */
async function soaked(kinds: readonly Kind[]): Promise<void> {
  const memory = [memoryOf()]
  for (let minute = 0; minute < soak; minute++) {
    await waits(kinds, 5, 60)
    memory.push(memoryOf())
  }
  await pause(30_000)
  memory.push(memoryOf())
  console.log(`the server’s memory, a minute apart, then after half a minute of rest: ${memory.join(', ')} MiB`)
}

/** Row counts in the database, and the size of a school's year: 36 weeks of two sessions, done by half of 300 children. */
async function room(): Promise<void> {
  const size = async (...tables: string[]) => {
    const { rows } = await db.raw<{ rows: { bytes: string }[] }>(
      `select ${tables.map(() => 'pg_total_relation_size(?)').join(' + ')} as bytes`,
      tables,
    )
    return Number(rows[0]!.bytes)
  }
  const count = async (table: string) => Number((await db(table).count('* as n').first())!.n)
  const [runs, sessions] = [await count('runs'), await count('workouts')]
  const aRun = (await size('runs', 'results')) / runs
  // Here all schools have sent the same session home; in reality each has its own.
  const { rows } = await db.raw<{ rows: { bytes: number }[] }>(
    'select avg(pg_column_size(s.*))::float as bytes from snapshots s',
  )
  const aSession = (await size('workouts', 'workout_versions', 'publications')) / sessions + rows[0]!.bytes
  const year = (36 * 2 * 150 * aRun + 72 * aSession) / 1e6
  console.log(
    `room: ${(aRun / 1000).toFixed(1)} kB a run with its results, ${(aSession / 1000).toFixed(1)} kB a session with its states and what was sent; a school’s year ${year.toFixed(0)} MB`,
  )
}

/** Everyone signed in, with the pages they open. */
async function kindsOf(): Promise<Kind[]> {
  const ask = asker(house.url)
  const signedIn: {
    cookie: string
    workouts: { id: string; revision: number; document: Titled }[]
    classes: string[]
  }[] = []
  const links: { token: string; run: Run; sha256: string }[] = []
  for (let i = 0; i < Math.min(schools, 20); i++) {
    const { cookie } = await ask('/api/session', 'POST', { email: `school-${i}@island.example`, password })
    const get = async <T>(path: string) => (await ask(path, 'GET', undefined, cookie)).body as T
    const { workouts: sessions } = await get<{ workouts: { id: string }[] }>('/api/workouts')
    const { classes } = await get<{ classes: { id: string }[] }>('/api/classes')
    const { runs } = await get<{ runs: { workoutId: string; run: Run }[] }>('/api/runs')
    const own = []
    for (const { id } of sessions)
      own.push(await get<{ id: string; revision: number; document: Titled }>(`/api/workouts/${id}`))
    signedIn.push({ cookie, workouts: own, classes: classes.map((c) => c.id) })
    const { workoutId: sessionId, run } = runs[0]!
    const { publications } = await get<{ publications: { token: string; sha256: string }[] }>(
      `/api/workouts/${sessionId}/publications`,
    )
    const { token, sha256 } = publications.find((p) => p.sha256 === run.publication)!
    links.push({ token, run, sha256 })
  }
  const well = async (path: string, init: RequestInit = {}, cookie = '') => {
    const from = `10.${byte()}.${byte()}.${byte()}`
    const headers = { 'x-forwarded-for': from, origin: house.url, cookie, 'content-type': 'application/json' }
    const answer = await fetch(house.url + path, { ...init, headers })
    await answer.arrayBuffer()
    if (answer.status !== 200) throw new Error(`${path} was answered ${answer.status}`)
  }
  /** Picks a session that nobody else is working on, for as long as it is in use. */
  const busy = new Set<string>()
  const worked = async (
    work: (who: (typeof signedIn)[number], mine: (typeof signedIn)[number]['workouts'][number]) => Promise<void>,
  ) => {
    const who = pick(signedIn)
    const mine = pick(who.workouts.filter((w) => !busy.has(w.id)))
    busy.add(mine.id)
    await work(who, mine).finally(() => busy.delete(mine.id))
  }
  const desk = ['/api/me', '/api/settings', '/api/workouts', '/api/runs', '/api/classes', '/api/terms']
  return [
    {
      name: 'a Desk opened',
      anHour: 1,
      ask: async () => {
        const { cookie } = pick(signedIn)
        for (const path of desk) await well(path, {}, cookie)
      },
    },
    {
      name: 'a session saved',
      anHour: 20,
      ask: () =>
        worked(async ({ cookie }, mine) => {
          const document = { ...mine.document, title: `Monday ${randomUUID().slice(0, 4)}` }
          await well(
            `/api/workouts/${mine.id}`,
            { method: 'PUT', body: JSON.stringify({ revision: mine.revision, document }) },
            cookie,
          )
          mine.revision++
        }),
    },
    {
      name: 'a session sent home',
      anHour: 3,
      ask: () =>
        worked(async ({ cookie }, mine) => {
          const body = JSON.stringify({ revision: mine.revision, days: 7 })
          await well(`/api/workouts/${mine.id}/publications`, { method: 'POST', body }, cookie)
        }),
    },
    {
      name: 'a sheet made',
      anHour: 2,
      ask: async () => {
        const { cookie, workouts: sessions } = pick(signedIn)
        await well(
          `/api/workouts/${pick(sessions).id}/sheets/${pick(['session', 'stations', 'poster'])}?language=en&paper=a4`,
          {},
          cookie,
        )
      },
    },
    {
      name: 'a class book opened',
      anHour: 1,
      ask: async () => {
        const { cookie, classes } = pick(signedIn)
        await well(`/api/classes/${pick(classes)}/sessions`, {}, cookie)
      },
    },
    {
      name: 'a family’s page opened',
      anHour: runsAnHour,
      ask: async () => {
        const { token, sha256 } = pick(links)
        await well(`/go/${token}`)
        await well(`/api/go/${token}`)
        await well(`/snapshots/${sha256}`)
      },
    },
    {
      name: 'a run sent',
      anHour: runsAnHour,
      ask: async () => {
        const { token, run } = pick(links)
        await well(`/api/go/${token}/runs`, { method: 'POST', body: JSON.stringify({ ...run, id: randomUUID() }) })
      },
    },
  ]
}
