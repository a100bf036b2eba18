// What a full Desk costs compared with a fresh one: listing the runs of a teacher with 5000 of them ÷ of one with 50, turn by turn in one
// run. Goal: at most 1.5.
import { randomUUID } from 'node:crypto'
import { runDocument } from '@esfuerzo/core/run'
import { writtenText } from '@esfuerzo/core'
import { openHouse } from '../faults/house.ts'
import { openDatabase } from '../server/src/base/database.ts'
import { at } from './share.mjs'

const house = await openHouse()
try {
  const db = openDatabase(house.databaseUrl)
  const cookies: string[] = []
  for (const [n, count] of [50, 5000].entries()) {
    const { saver, sender } = await house.settle(n)
    cookies.push(saver.cookie)
    const { id: publication } = (await db('publications').where({ workout_id: saver.id }).first('id')) as { id: string }
    const day = 24 * 60 * 60 * 1000
    const rows = Array.from({ length: count }, (_, i) => {
      const run = { ...sender.run, id: randomUUID() }
      return {
        publication_id: publication,
        id: run.id,
        group_id: run.group,
        started_at: run.startedAt,
        finished_at: run.finishedAt,
        zone: run.zone,
        received_at: new Date(Date.now() - (i * 60 * day) / count),
        document: writtenText(runDocument, run),
      }
    })
    await db.batchInsert('runs', rows, 500)
  }
  await db.raw('analyze')
  await db.destroy()

  const ask = async (path: string, cookie: string) => {
    const began = performance.now()
    const answer = await fetch(`${house.url}${path}`, { headers: { cookie } })
    await answer.text()
    if (!answer.ok) throw new Error(`${path}: ${answer.status}`)
    return performance.now() - began
  }
  for (const path of ['/api/runs', '/api/workouts']) {
    const pairs: [number, number][] = []
    for (let i = 0; i < 120; i++) pairs.push([await ask(path, cookies[1]!), await ask(path, cookies[0]!)])
    const [full, fresh] = [0, 1].map((k) =>
      at(
        pairs.slice(20).map((p) => p[k]!),
        0.5,
      ),
    )
    const ratio = at(
      pairs.slice(20).map(([a, b]) => a / b),
      0.5,
    )
    console.log(
      `${path}, 5000 runs ${full!.toFixed(1)} ms ÷ 50 runs ${fresh!.toFixed(1)} ms: ${ratio.toFixed(2)}  (goal ≤ 1.5)`,
    )
  }
} finally {
  await house.close()
}
process.exit(0)
