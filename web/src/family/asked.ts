import { sayName, type Names, type Say } from '@esfuerzo/core'
import { type Lane, type Publication } from '@esfuerzo/core/publication'
import { playedOf, type Result } from '@esfuerzo/core/run'

/** A place for which the session asks a result: one box per lap. */
export interface Asked {
  block: string
  station: string
  unit: Result['unit']
  name: string
  laps: number[]
  /** The weight it is done with in kilograms, if the session has one. */
  kg?: number
}

/** The places where a session asks a lane for results, each with one box per time the station came. */
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

/** All results at a place, its laps together. */
const sumAt = (results: readonly Result[], block: string, station: string | undefined): number | undefined => {
  const own = results.filter((r) => r.block === block && r.station === station)
  return own.length ? own.reduce((sum, r) => sum + r.value, 0) : undefined
}

/**
 * A child compared with itself: its result at a place now, and last time on this device.
 *
 * @returns undefined if there is nothing to compare
 */
export function againstLast(
  now: readonly Result[],
  last: readonly Result[] | undefined,
  at: { block: string; station?: string },
): { now: number; last: number } | undefined {
  const [a, b] = [sumAt(now, at.block, at.station), last && sumAt(last, at.block, at.station)]
  return a === undefined || b === undefined ? undefined : { now: a, last: b }
}
