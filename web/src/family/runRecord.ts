import type { LaneResult } from '../player/PlayerStage.vue'
import type { KeptRun } from '../player/usePlayer.ts'

/** What the player hands on to the page after it; kept through a reload of that page. */
export interface RunRecord {
  lanes: LaneResult[]
  startedAt: string
  finishedAt: string
  /** The child's own target for today, by its code. */
  target?: string
}

/** A run that is on, kept so that a page that is loaded again, or a device that was off, comes back where it was. */
export interface RunUnderway {
  lanes: string[]
  sha256: string
  startedAt: string
  keptAt: number
  run: KeptRun
  target?: string
}

const recordKey = (token: string) => `esfuerzo-run-${token}`
const underwayKey = (token: string) => `esfuerzo-underway-${token}`
/** A run left alone for so long is not gone on with. */
const staleAfter = 6 * 60 * 60 * 1000

const write = (key: string, value: object) => localStorage.setItem(key, JSON.stringify(value))
function read<T>(key: string): T | undefined {
  const text = localStorage.getItem(key)
  try {
    return text ? (JSON.parse(text) as T) : undefined
  } catch {
    return undefined
  }
}

export const keepRecord = (token: string, record: RunRecord): void => write(recordKey(token), record)
export const dropRecord = (token: string): void => localStorage.removeItem(recordKey(token))
/** The record of a link's run, where one has been finished on this device and not been sent yet. */
export const readRecord = (token: string): RunRecord | undefined => read<RunRecord>(recordKey(token))

export const keepUnderway = (token: string, run: RunUnderway): void => write(underwayKey(token), run)
export const dropUnderway = (token: string): void => localStorage.removeItem(underwayKey(token))

/** The run of a link that is still on, of that very session. @param now milliseconds */
export function readUnderway(token: string, sha256: string, now = Date.now()): RunUnderway | undefined {
  const underway = read<RunUnderway>(underwayKey(token))
  return underway && underway.sha256 === sha256 && now - underway.keptAt < staleAfter ? underway : undefined
}
