// npm run faults [-- --minutes N]: kills server and database under load, freezes the database, fills its disk, changes the clock, slows the
// connection, and checks whether anything acknowledged is lost.
//   --stand              does so to several machines: a planned switch, a standby lost, a primary lost, an update of the servers
//   --standby            loses the only machine, with a standby beside it
//   --upgrade [REF …]    upgrades from older releases by their commits, by default from the last release of every schema
import { parseArgs } from 'node:util'
import { openStand } from '../scripts/stand.mjs'
import { clientsOf } from './clients.ts'
import { startHasty } from './hasty.ts'
import { killsOf, openHouse } from './house.ts'
import { olderReleases, releaseAt } from './release.ts'
import { restoredAlone } from './restoredAlone.ts'
import { standBlows } from './standBlows.ts'
import { machineLost } from './standby.ts'
import { clockSet, frozen, fullDisk, slowNetwork } from './troubles.ts'
import { trial, type Blow, type Outcome } from './trial.ts'
import { upgradeFrom } from './upgrade.ts'

const { values, positionals } = parseArgs({
  options: {
    minutes: { type: 'string', default: '3' },
    stand: { type: 'boolean', default: false },
    standby: { type: 'boolean', default: false },
    upgrade: { type: 'boolean', default: false },
  },
  allowPositionals: true,
})
if (values.standby) {
  const { acknowledged, lost, age, lag, back } = await machineLost()
  console.log(
    `the machine lost, a standby promoted by hand: works again after ${back} ms; of ${acknowledged} acknowledged ${lost} lost, the oldest ${age} ms old; the standby had been ${lag.toFixed(0)} ms behind at most`,
  )
  process.exit(0)
}
if (values.upgrade) {
  const failed = await saidUpgrades(positionals.length ? positionals : olderReleases)
  process.exit(failed ? 1 : 0)
}
const median = (times: readonly number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN
const spread = (times: readonly number[]) => `${Math.min(...times)} / ${median(times)} / ${Math.max(...times)} ms`

/** What several trials came to. */
class Sum {
  counts = { saves: 0, runs: 0, unknown: 0, unavailable: 0 }
  differences: string[] = []
  #back = new Map<string, number[]>()
  #pauses = new Map<string, number[]>()

  add(outcome: Outcome): void {
    for (const key of Object.keys(this.counts) as (keyof typeof this.counts)[]) this.counts[key] += outcome.counts[key]
    this.differences.push(...outcome.differences)
    for (const [name, times] of outcome.back) this.#back.set(name, [...(this.#back.get(name) ?? []), ...times])
    for (const [name, times] of outcome.pauses) this.#pauses.set(name, [...(this.#pauses.get(name) ?? []), ...times])
  }

  say(): void {
    const { saves, runs, unknown, unavailable } = this.counts
    console.log(
      `${saves} saves and ${runs} runs acknowledged; ${unknown} answers lost on the way, ${unavailable} times 503`,
    )
    console.log('(least / median / most)')
    for (const [name, times] of this.#back)
      console.log(
        `${times.length} × ${name}: back after ${spread(times)}; nothing acknowledged for ${spread(this.#pauses.get(name)!)}`,
      )
    for (const line of this.differences) console.log(`  ${line}`)
    console.log(this.differences.length ? `${this.differences.length} differences` : 'nothing lost, nothing twice')
  }
}

/** Whether a trial finds the planted bug, an answer before its commit; a trial that doesn't is worthless. */
async function findsPlanted(url: string, blows: () => Blow[], clients: Parameters<typeof trial>[0]): Promise<boolean> {
  const hasty = await startHasty(url)
  let caught: Outcome | undefined
  for (let i = 0; i < 5 && !caught?.differences.length; i++)
    caught = await trial(clients, { savers: 0, senders: 6, blows: blows(), gap: 600, through: hasty.url })
  await hasty.close()
  const found = caught?.differences[0]
  console.log(`the planted bug, an answer before its commit: ${found ? `found (${found})` : 'NOT found'}`)
  return found !== undefined
}

/** Upgrades from each release and prints a line for each. @returns how many of them failed */
async function saidUpgrades(commits: readonly string[]): Promise<number> {
  let failed = 0
  for (const commit of commits) {
    const release = releaseAt(commit)
    const { down, start, opened, pause, acknowledged, faulted, wrong } = await upgradeFrom(release)
    console.log(
      `${release.schema} (${release.commit}): down for ${down} ms (start ${start}); ${opened} things opened; side by side ${acknowledged} acknowledged, nothing for ${pause} ms${faulted ? `; ${faulted} answered 500 by the old one` : ''}`,
    )
    for (const line of wrong.slice(0, 20)) console.log(`  ${line}`)
    if (wrong.length) failed++
    console.log(wrong.length ? `  ${wrong.length} things are wrong` : '  nothing lost, nothing changed')
  }
  return failed
}

const sum = new Sum()
let planted: boolean
if (values.stand) {
  const stand = await openStand()
  try {
    const clients = clientsOf(stand)
    const blows = standBlows(stand)
    planted = await findsPlanted(stand.url, () => [blows.server, blows.server], clients)
    const { server, update, etcd, standby, switchOver, primary } = blows
    // Each part once, then the goals: ten planned switchovers, five lost primaries.
    const rounds = [[server, etcd, standby], Array<Blow>(10).fill(switchOver), Array<Blow>(5).fill(primary)]
    for (const round of rounds)
      sum.add(await trial(clients, { savers: 6, senders: 6, blows: round, gap: 2000, between: 1000 }))
    // An upgrade is not a fault: not one request may fail.
    const renewed = await trial(clients, { savers: 6, senders: 6, blows: [update], gap: 2000, between: 1000 })
    const failed = renewed.counts.unknown + renewed.counts.unavailable
    if (failed) renewed.differences.push(`${failed} requests failed while both servers were renewed`)
    sum.add(renewed)
    const { unequal, tables } = await restoredAlone(stand.databaseUrl)
    console.log(`a backup restored on a single machine: ${tables} tables, ${unequal.length} of them not equal`)
    sum.differences.push(...unequal.map((name) => `table ${name} is not what it was`))
  } finally {
    await stand.close()
  }
} else {
  const until = Date.now() + Number(values.minutes) * 60_000
  const house = await openHouse()
  try {
    planted = await findsPlanted(house.url, () => killsOf(house, { server: 3, database: 0 }), house)
    do
      sum.add(
        await trial(house, { savers: 8, senders: 8, blows: killsOf(house, { server: 5, database: 2 }), gap: 1500 }),
      )
    while (Date.now() < until)
    sum.add(
      await trial(house, { savers: 6, senders: 6, blows: [frozen(house), frozen(house)], gap: 1500, between: 250 }),
    )
    sum.add(await slowNetwork(house))
  } finally {
    await house.close()
  }
  sum.add(await clockSet())
  const full = await fullDisk()
  if (full) sum.add(full)
  else console.log('a full disk: not tried, since it takes root to make a small one')
}
sum.say()
process.exit(planted && !sum.differences.length ? 0 : 1)
