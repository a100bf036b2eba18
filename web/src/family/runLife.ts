import { type Run } from '@esfuerzo/core/run'
import { CallError, retryable } from '@esfuerzo/contract/family'
import type { LaneResult } from '../player/PlayerStage.vue'
import type { KeptPupil } from './pupils.ts'
import type { KeptRun } from '../player/usePlayer.ts'

/**
 * A run on this device, from its start until the server has it: `underway` it is being played · `finished` its questions are not answered
 * yet · `answered` it is to be sent. One or two lanes are one run here; each lane is sent as a separate run.
 */
export interface Life {
  id: string
  stage: 'underway' | 'finished' | 'answered'
  token: string
  /** Of the publication that is run. */
  sha256: string
  title: string
  /** Each lane with its run's id: created at the start, so that a run sent twice is stored once. */
  lanes: { lane: string; run: string; pupil?: KeptPupil }[]
  startedAt: string
  /** The child's own target for today, by its code. */
  target?: string | undefined
  /** When it was last written, in milliseconds. */
  keptAt: number
  /** Its position while it is played. */
  player?: KeptRun
  /** From its end on. */
  finishedAt?: string
  ended?: 'whole' | 'early'
  results?: LaneResult[]
  /** From the answers on: what the server doesn't have yet. */
  runs?: Run[]
  /** Why a server refused it. Another may accept it: it stays. */
  refused?: CallError['code'] | undefined
}

/** Where runs are kept on the device; every call may fail, as in a private window or on a full disk. */
export interface LifeStore {
  all: () => Promise<Life[]>
  set: (life: Life) => Promise<void>
  remove: (id: string) => Promise<void>
}

export interface RunLifeParts {
  store: LifeStore
  /** @throws {CallError} */
  send: (token: string, run: Run, key?: string) => Promise<unknown>
  /** Milliseconds since 1970. */
  now: () => number
  newId: () => string
}

/**
 * The outcome of sending a run: `sent` the server has it · `kept` it is on this device and will be sent automatically · `unkept` neither:
 * only the page has it · `refused` the server did not accept it; it stays on this device while storage lasts
 */
export type SendOutcome = 'sent' | 'kept' | 'unkept' | 'refused'

export interface RunLife {
  /** Starts a run. Another one underway behind the same link is discarded. */
  begin: (
    sent: Pick<Life, 'token' | 'sha256' | 'title' | 'target'> & {
      /** Each with its child, if a code was given. */
      lanes: readonly { lane: string; pupil?: KeptPupil | undefined }[]
    },
  ) => Promise<Life>
  /** The current run behind a link, of that same session. */
  underway: (token: string, sha256: string) => Promise<Life | undefined>
  /** Keeps where a run is. */
  progress: (life: Life, player: KeptRun) => Promise<void>
  /** Its end. */
  finish: (life: Life, ended: NonNullable<Life['ended']>, results: LaneResult[]) => Promise<void>
  /** Finished runs behind a link without answers, the latest first. */
  finished: (token: string) => Promise<Life[]>
  /** Sends the results of each lane. */
  answer: (life: Life, runs: Run[]) => Promise<SendOutcome>
  /** Every answered run that the server does not have. */
  waiting: () => Promise<Life[]>
  /** Sends all of those. */
  sendWaiting: () => Promise<void>
  /** Permanently deletes a run from the device. */
  drop: (id: string) => Promise<void>
}

/** A run left alone for this long is not continued. */
const staleAfter = 6 * 60 * 60 * 1000

/** The one owner of runs on a device. Without storage, runs stay in memory while the page is open. */
// oxlint-disable-next-line max-lines-per-function -- one state machine: its states and what moves between them
export function runLife({ store, send, now, newId }: RunLifeParts): RunLife {
  const here = new Map<string, Life>()
  /** Those in the store, so that a run sent and removed by another tab disappears here too. */
  const stored = new Set<string>()
  const sending = new Map<string, Promise<SendOutcome>>()

  async function write(life: Life): Promise<boolean> {
    const next = { ...life, keptAt: now() }
    here.set(life.id, next)
    try {
      await store.set(next)
      stored.add(life.id)
      return true
    } catch {
      stored.delete(life.id)
      return false
    }
  }
  async function drop(id: string): Promise<void> {
    here.delete(id)
    stored.delete(id)
    // What can't be deleted is sent again some day, under the same id.
    await store.remove(id).catch(() => undefined)
  }
  async function all(): Promise<Life[]> {
    const kept = await store.all().catch(() => undefined)
    if (kept) {
      const ids = new Set(kept.map((life) => life.id))
      for (const id of stored)
        if (!ids.has(id)) {
          stored.delete(id)
          here.delete(id)
        }
      for (const life of kept) {
        stored.add(life.id)
        if ((here.get(life.id)?.keptAt ?? 0) < life.keptAt) here.set(life.id, life)
      }
    }
    return [...here.values()].sort((a, b) => b.keptAt - a.keptAt)
  }

  async function deliver(life: Life): Promise<SendOutcome> {
    let left = life.runs ?? []
    let refused: CallError['code'] | undefined
    for (const run of left) {
      try {
        await send(life.token, run, life.lanes.find((l) => l.run === run.id)?.pupil?.key)
        left = left.filter((other) => other !== run)
      } catch (error) {
        if (!(error instanceof CallError)) throw error
        if (!retryable(error.code)) refused = error.code
      }
    }
    if (left.length === 0) {
      await drop(life.id)
      return 'sent'
    }
    const kept = await write({ ...life, runs: left, refused })
    return refused ? 'refused' : kept ? 'kept' : 'unkept'
  }
  /** One delivery at a time per run. */
  function delivered(life: Life): Promise<SendOutcome> {
    const known = sending.get(life.id)
    if (known) return known
    const work = deliver(life).finally(() => sending.delete(life.id))
    sending.set(life.id, work)
    return work
  }
  const waiting = async () => (await all()).filter((life) => life.stage === 'answered')

  return {
    async begin({ token, sha256, title, target, lanes }) {
      for (const life of await all()) if (life.stage === 'underway' && life.token === token) await drop(life.id)
      const life: Life = {
        id: newId(),
        stage: 'underway',
        token,
        sha256,
        title,
        lanes: lanes.map(({ lane, pupil }) => ({ lane, run: newId(), ...(pupil && { pupil }) })),
        startedAt: new Date(now()).toISOString(),
        ...(target && { target }),
        keptAt: now(),
      }
      await write(life)
      return life
    },
    underway: async (token, sha256) =>
      (await all()).find(
        (life) =>
          life.stage === 'underway' &&
          life.token === token &&
          life.sha256 === sha256 &&
          life.player !== undefined &&
          now() - life.keptAt < staleAfter,
      ),
    async progress(life, player) {
      // A late write of a finished run would revive it.
      if (here.get(life.id)?.stage === 'underway') await write({ ...life, player })
    },
    async finish({ player: _, ...life }, ended, results) {
      const finishedAt = new Date(now()).toISOString()
      await write({ ...life, stage: 'finished', finishedAt, ended, results })
    },
    finished: async (token) => (await all()).filter((life) => life.stage === 'finished' && life.token === token),
    async answer(life, runs) {
      const answered: Life = { ...life, stage: 'answered', runs }
      // Stored before it is sent: closing the page while it sends loses nothing.
      await write(answered)
      return delivered(answered)
    },
    waiting,
    async sendWaiting() {
      for (const life of await waiting()) await delivered(life).catch(() => undefined)
    },
    drop,
  }
}
