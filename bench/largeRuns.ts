// How long others wait while 150 of the largest possible runs are read: in lists, for the next session, a class's pace, a pupil's file, an
// export. Goal: at most 100 ms.
import { randomUUID } from 'node:crypto'
import { runDocument, mostCountedSteps } from '@esfuerzo/core/run'
import { writtenText } from '@esfuerzo/core'
import { openHouse } from '../faults/house.ts'
import { openDatabase } from '../server/src/base/database.ts'

const runs = 150
const house = await openHouse()
try {
  const db = openDatabase(house.databaseUrl)
  const { saver, sender } = await house.settle(0)
  const { cookie } = saver
  const headers = { cookie, 'content-type': 'application/json', origin: house.url }
  const ask = async (path: string, init?: RequestInit) => {
    const answer = await fetch(`${house.url}${path}`, { headers, ...init })
    if (!answer.ok) throw new Error(`${path}: ${answer.status}`)
    return answer.arrayBuffer()
  }
  const json = async (path: string, body: object) =>
    JSON.parse(Buffer.from(await ask(path, { method: 'POST', body: JSON.stringify(body) })).toString()) as never
  const { id: classId } = (await json('/api/classes', { name: '2b', grades: [2] })) as { id: string }
  const { pupils } = (await json(`/api/classes/${classId}/pupils`, { aliases: ['Tern 4'] })) as {
    pupils: [{ id: string }]
  }
  const { id: publication } = (await db('publications').where({ workout_id: saver.id }).first('id')) as { id: string }
  const how = { setUp: 'x'.repeat(60), counted: 'other', shoes: 'off', warm: true } as const
  const large = {
    ...sender.run,
    counted: Array.from(
      { length: mostCountedSteps },
      (_, step) => ({ step, seconds: 3.25, by: 'tap', seen: true, spoken: false }) as const,
    ),
    results: Array.from(
      { length: 500 },
      () => ({ block: 'b1', station: 's1', lap: 1, value: 14, unit: 'reps', how }) as const,
    ),
  }
  const document = writtenText(runDocument, large)
  await db.batchInsert(
    'runs',
    Array.from({ length: runs }, () => ({
      publication_id: publication,
      id: randomUUID(),
      pupil_id: pupils[0].id,
      group_id: large.group,
      started_at: new Date(),
      finished_at: new Date(),
      zone: 'UTC',
      document: JSON.stringify({ ...JSON.parse(document), id: randomUUID() }),
    })),
    20,
  )
  const waits: number[] = []
  let over = false
  const watcher = (async () => {
    while (!over) {
      const start = performance.now()
      await fetch(`${house.url}/healthz`).then(
        (r) => r.arrayBuffer(),
        () => undefined,
      )
      waits.push(performance.now() - start)
      await new Promise((resolve) => setTimeout(resolve, 3))
    }
  })()
  await new Promise((resolve) => setTimeout(resolve, 1000))
  const worst = () => Math.round(Math.max(...waits.splice(0)))
  console.log(`one run of ${Math.round(document.length / 1024)} KiB; idle: others at most ${worst()} ms`)
  const asked = {
    'the latest, page by page': async () => {
      let next: string | null = ''
      while (next !== null)
        ({ next } = JSON.parse(Buffer.from(await ask(`/api/runs${next ? `?before=${next}` : ''}`)).toString()) as {
          next: string | null
        })
    },
    'what they say for next time': () => ask(`/api/workouts/${saver.id}/came-back`),
    "the class's pace": () => ask(`/api/classes/${classId}/pace`),
    "a pupil's file": () => ask(`/api/pupils/${pupils[0].id}/file?as=json`),
    'everything exported': () => ask('/api/export'),
    'the class book': () => ask(`/api/classes/${classId}/results/${publication}`),
  }
  for (const [what, work] of Object.entries(asked)) {
    const start = performance.now()
    await work()
    console.log(`${what}: ${Math.round(performance.now() - start)} ms; others at most ${worst()} ms`)
  }
  over = true
  await watcher
  await db.destroy()
} finally {
  await house.close()
}
process.exit(0)
