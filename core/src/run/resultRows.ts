import type { Outline } from '../publication/outline.ts'
import type { Result, Run } from './schema.ts'

/** A result by itself: what it is of, told by the session it belongs to, so that nobody has to read that again. */
export interface ResultRow {
  block: string
  station?: string
  test?: string
  testSetUp?: string
  trial?: number
  lap?: number
  rung?: number
  move?: string
  version?: string
  /** What it is called: the version's name, the block's where it is no station's. */
  name: string
  unit: Result['unit']
  value: number
  kg?: number
  clean?: 'yes' | 'no'
}

/**
 * The results of a run, one by one.
 *
 * @param outline of what was sent home; what it does not know of a result stays unsaid
 */
export function resultRows(run: Run, { lanes, blocks }: Outline): ResultRow[] {
  const lane = lanes.find((l) => l.id === run.group)
  return run.results.map(({ block: id, station, trial, lap, rung, unit, value, clean, load, how }): ResultRow => {
    const block = blocks.find((b) => b.id === id)
    const done = station === undefined ? undefined : lane?.does?.[station]
    const name = (station === undefined ? undefined : lane?.stations[station]) ?? block?.name ?? ''
    const test = station === undefined ? block?.test : undefined
    return {
      block: id,
      ...(station !== undefined && { station }),
      ...(test && { test }),
      ...(how?.setUp && { testSetUp: how.setUp }),
      ...(trial !== undefined && { trial }),
      ...(lap !== undefined && { lap }),
      ...(rung !== undefined && { rung }),
      ...done,
      name,
      unit,
      value,
      ...(load && { kg: load.kg }),
      ...(clean && { clean }),
    }
  })
}
