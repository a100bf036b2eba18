import { execFileSync } from 'node:child_process'
import { mkdirSync, openSync, closeSync, rmSync, writeFileSync, writeSync } from 'node:fs'
import { join } from 'node:path'
import { needClock } from '../scripts/machine.mjs'
import { root } from '../scripts/stack.mjs'
import { openHouse, type House } from './house.ts'
import { startSlowLine } from './slowLine.ts'
import { trial, type Blow, type Outcome } from './trial.ts'

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** How long a fault lasts, in milliseconds; after that the recovery is timed. */
const lasts = 12_000

let asked = 0
/** Until a new teacher can sign in, save and send home: `/healthz` remembers a full disk for a minute, which is not waited for. */
async function worksAgain(house: House): Promise<void> {
  for (;;) {
    try {
      await house.settle(1_000_000 + asked++)
      return
    } catch {
      await pause(50)
    }
  }
}

/** A fault with a duration. @returns milliseconds from its end until everything works */
const during = (name: string, house: House, begin: () => void, end: () => void | Promise<void>): Blow => ({
  name,
  strike: async () => {
    begin()
    await pause(lasts)
    const over = Date.now()
    await end()
    await worksAgain(house)
    return Date.now() - over
  },
})

/** The database is frozen: it neither answers nor hangs up. */
export const frozen = (house: House): Blow =>
  during(
    'the database frozen for 12 s',
    house,
    () => house.signalDatabase('SIGSTOP'),
    () => house.signalDatabase('SIGCONT'),
  )

/** Runs are this far apart so that no link reaches its limit before a trial is over. */
const load = { savers: 6, senders: 6, gap: 1500, between: 250 }

async function withHouse(ground: Parameters<typeof openHouse>[0], work: (house: House) => Promise<Outcome>) {
  const house = await openHouse(ground)
  try {
    return await work(house)
  } finally {
    await house.close()
  }
}

/** A disk of its own, small enough to fill; creating it takes root. @returns undefined if that is not possible */
function smallDisk(): { folder: string; fill: () => void; empty: () => void; close: () => void } | undefined {
  const folder = join(root, '.cache', 'faults-disk')
  const filling = join(folder, 'filling')
  mkdirSync(folder, { recursive: true })
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=300m', 'tmpfs', folder], { stdio: 'ignore' })
  } catch {
    return undefined
  }
  return {
    folder,
    fill: () => {
      const file = openSync(filling, 'w')
      const block = Buffer.alloc(64 * 1024)
      try {
        for (;;) writeSync(file, block)
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'ENOSPC') throw error
      } finally {
        closeSync(file)
      }
    },
    empty: () => rmSync(filling, { force: true }),
    close: () => execFileSync('umount', [folder]),
  }
}

/** The disk is full, twice. @returns undefined if no disk can be created */
export async function fullDisk(): Promise<Outcome | undefined> {
  const disk = smallDisk()
  if (!disk) return undefined
  try {
    return await withHouse({ disk: join(disk.folder, 'postgres') }, (house) => {
      const end = () => {
        disk.empty()
        return house.reviveDatabase()
      }
      const blow = during('the disk full for 12 s', house, disk.fill, end)
      return trial(house, { ...load, blows: [blow, blow] })
    })
  } finally {
    disk.close()
  }
}

/** The clock of server and database set back by three days, forward by three, and right again, while they run. */
export async function clockSet(): Promise<Outcome> {
  const file = join(root, '.cache', 'faults-clock')
  const set = (by: string) => writeFileSync(file, `${by}\n`, { mode: 0o644 })
  set('+0')
  const env = {
    LD_PRELOAD: needClock(),
    FAKETIME_TIMESTAMP_FILE: file,
    FAKETIME_NO_CACHE: '1',
    // Keeps timeouts at their real length; the variable's name depends on the library's release.
    FAKETIME_DONT_FAKE_MONOTONIC: '1',
    DONT_FAKE_MONOTONIC: '1',
  }
  return withHouse({ env }, (house) => {
    const turn = (name: string, by: string): Blow => ({
      name,
      strike: async () => {
        const began = Date.now()
        set(by)
        await house.well()
        const until = Date.now() - began
        await pause(3000)
        return until
      },
    })
    const blows = [
      turn('the clock set back by three days', '-3d'),
      turn('the clock set forward by three days', '+3d'),
      turn('the clock set right', '+0'),
    ]
    return trial(house, { ...load, blows })
  })
}

/** A slow connection that breaks off in the middle now and then. */
export const slowNetwork = (house: House): Promise<Outcome> =>
  withLine(house, (through) => {
    const blow: Blow = { name: 'a slow line that breaks off, 15 s of it', strike: () => pause(15_000).then(() => 0) }
    return trial(house, { ...load, blows: [blow], through })
  })

async function withLine(house: House, work: (url: string) => Promise<Outcome>): Promise<Outcome> {
  const line = await startSlowLine(house.url)
  try {
    return await work(line.url)
  } finally {
    await line.close()
  }
}
