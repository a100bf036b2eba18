// The server beside a bare one with the same middleware, in turns in one run; how long others wait while a session is computed or printed;
// and the memory it takes.
import { fork } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { readSession, sessionDocument, writtenDocument, type Session } from '@esfuerzo/core'
import { dearSession, hostileSessions, largeSession } from '../core/test/support/hostile.ts'
import { openHouse } from '../faults/house.ts'
import { openDatabase } from '../server/src/base/database.ts'
import { at } from './share.mjs'

const agent = new Agent({ keepAlive: true, maxSockets: 40 })
interface Asked {
  url: string
  method?: string
  headers?: Record<string, string>
  body?: unknown
}
/** @returns status and milliseconds */
const ask = ({ url, method = 'GET', headers, body }: Asked) =>
  new Promise<{ status: number; took: number; text: string }>((resolve, reject) => {
    const began = performance.now()
    const sent = request(
      url,
      { method, agent, headers: { 'content-type': 'application/json', ...headers } },
      (answer) => {
        const chunks: Buffer[] = []
        answer.on('data', (data: Buffer) => chunks.push(data))
        answer.on('end', () =>
          resolve({
            status: answer.statusCode!,
            took: performance.now() - began,
            text: Buffer.concat(chunks).toString('latin1'),
          }),
        )
      },
    )
    sent.on('error', reject)
    sent.end(body === undefined ? undefined : JSON.stringify(body))
  })

const house = await openHouse()
const folder = mkdtempSync(join(tmpdir(), 'esfuerzo-bench-'))
const bare = fork('bench/bareServer.ts', {
  env: { ...process.env, DATABASE_URL: house.databaseUrl, FOLDER: folder },
  execArgv: ['--import', 'tsx'],
})
const { port } = await new Promise<{ port: number }>((resolve) =>
  bare.once('message', (m) => resolve(m as { port: number })),
)
const plain = `http://127.0.0.1:${port}`
const headers = (cookie: string) => ({ origin: house.url, cookie })
const home = () => `10.${[0, 0, 0].map(() => Math.floor(Math.random() * 256)).join('.')}`

/** Requests per second and the p99 of twenty simultaneous clients. */
async function load(next: (client: number) => Asked, seconds = 3) {
  const until = performance.now() + seconds * 1000
  const took: number[] = []
  let wrong = 0
  const client = async (n: number) => {
    while (performance.now() < until) {
      const { status, took: ms } = await ask(next(n))
      if (status !== 200) wrong++
      took.push(ms)
    }
  }
  await Promise.all(Array.from({ length: 20 }, (_, n) => client(n)))
  return { rate: (took.length - wrong) / seconds, wrong }
}

/** Ours and the baseline in turns, three times each. */
async function beside(title: string, ours: (n: number) => Asked, theirs: (n: number) => Asked, goal: string) {
  const ratios: number[] = []
  const rates: [number, number][] = []
  let wrong = 0
  await load(ours, 1)
  await load(theirs, 1)
  for (let turn = 0; turn < 3; turn++) {
    const a = await load(ours)
    const b = await load(theirs)
    wrong += a.wrong + b.wrong
    ratios.push(a.rate / b.rate)
    rates.push([a.rate, b.rate])
  }
  const [mine, bares] = [0, 1].map((i) =>
    at(
      rates.map((r) => r[i]!),
      0.5,
    ).toFixed(0),
  )
  console.log(
    `${title}: ${ratios.map((r) => r.toFixed(2)).join(', ')}  (${mine} ÷ ${bares} a second; goal ${goal}${wrong ? `; ${wrong} not answered 200` : ''})`,
  )
}

try {
  // Sixty links, so that no link reaches its own limit.
  const settled = await house.settle(0)
  const { cookie, id } = settled.saver
  const links = [settled.sender.token]
  for (let i = 1; i < 60; i++) {
    const made = await ask({
      url: `${house.url}/api/workouts/${id}/publications`,
      method: 'POST',
      headers: headers(cookie),
      body: { revision: 1, days: 7 },
    })
    links.push((JSON.parse(made.text) as { token: string }).token)
  }
  const run = () => ({ ...settled.sender.run, id: randomUUID() })
  await beside(
    'POST a run ÷ a bare route with one INSERT',
    () => ({
      url: `${house.url}/api/go/${links[Math.floor(Math.random() * links.length)]}/runs`,
      method: 'POST',
      headers: { origin: house.url, 'x-forwarded-for': home() },
      body: run(),
    }),
    () => ({ url: `${plain}/runs`, method: 'POST', body: run() }),
    '≥ 0.5',
  )
  const sixty = readSession(JSON.parse(readFileSync('bench/sessions/sixty-stations.json', 'utf8')))
  const document = writtenDocument(sessionDocument, sixty)
  const own: { id: string; revision: number }[] = []
  const add = async (what: Session) => {
    const made = await ask({
      url: `${house.url}/api/workouts`,
      method: 'POST',
      headers: headers(cookie),
      body: { document: writtenDocument(sessionDocument, what) },
    })
    return (JSON.parse(made.text) as { id: string }).id
  }
  for (let i = 0; i < 20; i++) own.push({ id: await add(sixty), revision: 1 })
  await beside(
    'PUT the session of sixty stations ÷ a bare route that writes its bytes twice',
    (n) => ({
      url: `${house.url}/api/workouts/${own[n]!.id}`,
      method: 'PUT',
      headers: headers(cookie),
      body: { revision: own[n]!.revision++, document },
    }),
    () => ({ url: `${plain}/sessions`, method: 'PUT', body: { document } }),
    '≥ 0.4',
  )
  const snapshot = await ask({ url: `${house.url}/snapshots/${settled.sender.run.publication}` })
  writeFileSync(join(folder, 'snapshot.json'), snapshot.text, 'latin1')
  const gzip = { 'accept-encoding': 'gzip' }
  await beside(
    'GET a snapshot ÷ a static file',
    () => ({ url: `${house.url}/snapshots/${settled.sender.run.publication}`, headers: gzip }),
    () => ({ url: `${plain}/file/snapshot.json`, headers: gzip }),
    '≥ 1.0',
  )
  writeFileSync(join(folder, 'index.html'), readFileSync('web/dist/family/index.html'))
  await beside(
    'GET the family page ÷ a static file',
    () => ({ url: `${house.url}/go/${links[0]}`, headers: gzip }),
    () => ({ url: `${plain}/file/index.html`, headers: gzip }),
    '≥ 1.0',
  )

  /** The response time of /healthz while something else runs, asked by five clients one request at a time. */
  async function meanwhile(work: () => Promise<unknown>) {
    let over = false
    const took: number[] = []
    const asking = Array.from({ length: 5 }, async () => {
      while (!over) took.push((await ask({ url: `${house.url}/healthz` })).took)
    })
    const answer = await work()
    over = true
    await Promise.all(asking)
    return { p99: at(took, 0.99), most: Math.max(...took), answer }
  }
  const idle = await meanwhile(() => new Promise((resolve) => setTimeout(resolve, 3000)))
  console.log(`/healthz on an idle server: p99 ${idle.p99.toFixed(0)} ms, at most ${idle.most.toFixed(0)} ms`)
  const hostile = { ...hostileSessions, 'as large as may be': largeSession, 'dear to reckon': dearSession }
  for (const [title, session] of Object.entries(hostile)) {
    const workout = await add(session())
    const publish = () =>
      ask({
        url: `${house.url}/api/workouts/${workout}/publications`,
        method: 'POST',
        headers: headers(cookie),
        body: { revision: 1, days: 7 },
      })
    const { most, p99, answer } = await meanwhile(publish)
    const { status, took } = answer as { status: number; took: number }
    console.log(
      `publishing ${title}: ${status} after ${took.toFixed(0)} ms; /healthz meanwhile p99 ${p99.toFixed(0)}, at most ${most.toFixed(0)} ms  (goal ≤ 100)`,
    )
  }
  const kinds = ['session', 'poster', 'stations', 'results', 'fetch', 'care', 'session', 'poster'] as const
  const sheets = () =>
    Promise.all(
      kinds.map((kind, i) =>
        ask({
          url: `${house.url}/api/go/${links[0]}/sheets/${kind}?language=${i < 4 ? 'en' : 'es'}`,
          headers: { origin: house.url },
        }),
      ),
    )
  await ask({ url: `${house.url}/api/go/${links[0]}/sheets/cards` })
  const paper = await meanwhile(sheets)
  const again = await meanwhile(sheets)
  const took = (m: typeof paper) => Math.max(...(m.answer as { took: number }[]).map((a) => a.took))
  const served = (m: typeof paper) => (m.answer as { status: number }[]).filter((a) => a.status === 200).length
  console.log(
    `eight PDFs at once: ${served(paper)} and ${served(again)} served, made in ${took(paper).toFixed(0)} ms, again in ${took(again).toFixed(0)} ms; /healthz meanwhile p99 ${paper.p99.toFixed(0)} ms  (goal ≤ ${(idle.p99 + 50).toFixed(0)})`,
  )
  // A teacher after some years: 200 sessions of sixty stations, each with sixty revisions.
  const db = openDatabase(house.databaseUrl, undefined, 'unbound')
  const like = own[0]!.id
  await db.raw(
    `insert into workouts
     select (jsonb_populate_record(w, jsonb_build_object('id', gen_random_uuid()))).* from workouts w, generate_series(1, 180) where w.id = ?`,
    [like],
  )
  await db.raw(
    `insert into workout_versions (id, workout_id, document, started_at, saved_at)
     select gen_random_uuid(), w.id, w.document, now() - n * interval '1 hour', now() - n * interval '1 hour'
     from workouts w, generate_series(1, 60) n where w.title = (select title from workouts where id = ?)`,
    [like],
  )
  await db.destroy()
  // Idle connections may have been closed by now.
  agent.destroy()
  const along = await meanwhile(() => ask({ url: `${house.url}/api/export`, headers: headers(cookie) }))
  const { status: outcome, took: ms, text } = along.answer as Awaited<ReturnType<typeof ask>>
  console.log(
    `200 sessions with 12 000 states taken along: ${outcome}, ${(text.length / 2 ** 20).toFixed(0)} MiB after ${(ms / 1000).toFixed(0)} s; /healthz meanwhile p99 ${along.p99.toFixed(0)}, at most ${along.most.toFixed(0)} ms  (goal ≤ 100)`,
  )
  const status = readFileSync(`/proc/${house.pid()}/status`, 'utf8')
  const mib = (name: string) => (Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)![1]) / 1024).toFixed(0)
  console.log(`the server's memory: ${mib('VmRSS')} MiB, at most ${mib('VmHWM')} MiB  (goal ≤ 400)`)
} finally {
  bare.disconnect()
  agent.destroy()
  await house.close()
  rmSync(folder, { recursive: true })
}
