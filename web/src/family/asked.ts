import { sayName, type Names, type Say } from '@esfuerzo/core'
import { type Lane, type Publication } from '@esfuerzo/core/publication'
import { playedOf, type Result } from '@esfuerzo/core/run'

/** A place where the session asks for a result: a box a lap. */
export interface Asked {
  block: string
  station: string
  unit: Result['unit']
  name: string
  laps: number[]
  /** Kilograms it is done with, where the session says so. */
  kg?: number
}

/** Where a session asks a lane for results, each with as many boxes as the station came up. */
export function askedOf(publication: Publication, lane: Lane, names: Names): Asked[] {
  return publication.sections
    .flatMap((s) => s.blocks)
    .flatMap((block) =>
      block.stations.flatMap(({ id: station, record }): Asked[] => {
        const steps = lane.steps.filter((s) => s.station === station && s.kind === 'work')
        if (!record || !steps.length) return []
        // If chance or the child decides how often a station comes up, one box holds what was done.
        const laps = playedOf(lane.plays[block.id]).asOne ? [1] : [...new Set(steps.map((s) => s.lap ?? 1))]
        const kg = lane.loads[station]
        const name = sayName(steps[0]!.say as Say, names)
        return [{ block: block.id, station, unit: record, name, laps, ...(kg !== undefined && { kg }) }]
      }),
    )
}

/** All that was done at a place, its laps together. */
const sumAt = (results: readonly Result[], block: string, station: string | undefined): number | undefined => {
  const own = results.filter((r) => r.block === block && r.station === station)
  return own.length ? own.reduce((sum, r) => sum + r.value, 0) : undefined
}

/**
 * A child against itself: what it did at a place now, and last time on this device.
 *
 * @returns undefined where there is nothing to compare
 */
export function againstLast(
  now: readonly Result[],
  last: readonly Result[] | undefined,
  at: { block: string; station?: string },
): { now: number; last: number } | undefined {
  const [a, b] = [sumAt(now, at.block, at.station), last && sumAt(last, at.block, at.station)]
  return a === undefined || b === undefined ? undefined : { now: a, last: b }
}
