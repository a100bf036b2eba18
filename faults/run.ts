// npm run faults [-- --minutes N]: kills servers and databases under load, and looks whether anything that was acknowledged is lost.
import { parseArgs } from 'node:util'
import { openHouse } from './house.ts'
import { startHasty } from './hasty.ts'
import { trial, type Outcome } from './trial.ts'

const { values } = parseArgs({ options: { minutes: { type: 'string', default: '3' } } })
const until = Date.now() + Number(values.minutes) * 60_000
const median = (times: readonly number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN
const spread = (times: readonly number[]) =>
  times.length ? `${Math.min(...times)} / ${median(times)} / ${Math.max(...times)} ms (least, median, most)` : 'none'

const house = await openHouse()
let failed = false
try {
  const hasty = await startHasty(house.url)
  let caught: Outcome | undefined
  for (let i = 0; i < 5 && !caught?.differences.length; i++) {
    const plan = { savers: 0, senders: 6, kills: { server: 3, database: 0 }, gap: 600, through: hasty.url }
    caught = await trial(house, plan)
  }
  await hasty.close()
  failed = !caught?.differences.length
  console.log(
    `the planted bug, an answer before its commit: ${failed ? 'NOT found' : `found (${caught!.differences[0]})`}`,
  )

  const sum = { saves: 0, runs: 0, unknown: 0, unavailable: 0 }
  const back: Outcome['back'] = { server: [], database: [] }
  const differences: string[] = []
  do {
    const plan = { savers: 8, senders: 8, kills: { server: 5, database: 2 }, gap: 1500 }
    const outcome = await trial(house, plan)
    for (const key of Object.keys(sum) as (keyof typeof sum)[]) sum[key] += outcome.counts[key]
    back.server.push(...outcome.back.server)
    back.database.push(...outcome.back.database)
    differences.push(...outcome.differences)
  } while (Date.now() < until)
  console.log(
    `${sum.saves} saves and ${sum.runs} runs acknowledged; ${sum.unknown} answers lost on the way, ${sum.unavailable} times 503`,
  )
  console.log(`${back.server.length} kills of the server, back after ${spread(back.server)}`)
  console.log(`${back.database.length} kills of the database, back after ${spread(back.database)}`)
  for (const line of differences) console.log(`  ${line}`)
  console.log(differences.length ? `${differences.length} differences` : 'nothing lost, nothing twice')
  failed ||= differences.length > 0
} finally {
  await house.close()
}
process.exit(failed ? 1 : 0)
