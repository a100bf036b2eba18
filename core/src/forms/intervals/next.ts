import { easierVersion, harderVersion } from '../../nextTime/rowSteps.ts'
import type { NextLever, NextPlace, NextStep, StepsFor } from '../../nextTime/step.ts'
import { mapGroups, valueFor } from '../../terms/perGroup.ts'
import type { IntervalsBlock, Lap } from './schema.ts'

/** The longest work of a band, in seconds; the youngest get no longer work and no shorter rest. Common practice, no source. */
const longest = [0, 40, 60] as const
const mostLaps = 4

function withLaps(
  lever: NextLever,
  block: IntervalsBlock,
  { group }: NextPlace,
  change: (laps: readonly Lap[]) => Lap[] | undefined,
  read: (laps: readonly Lap[]) => number,
): NextStep | undefined {
  const now = valueFor(block.laps, group.id)
  const next = change(now)
  if (!next) return undefined
  const laps = mapGroups(block.laps, [group.id], () => next)
  return { lever, facts: { from: read(now), to: read(next) }, block: { ...block, laps } }
}
const work = (by: number, most: number): ((laps: readonly Lap[]) => Lap[] | undefined) => {
  return (laps) => {
    const next = laps.map((lap) => ({ ...lap, work: lap.work + by }))
    return next.every((lap) => lap.work >= 15 && lap.work <= most) ? next : undefined
  }
}
const ofWork = (laps: readonly Lap[]) => laps[0]!.work
const ofRest = (laps: readonly Lap[]) => laps[0]!.rest

/** Longer work, then a lap, then less rest, then another version; for the youngest a lap. */
export const intervalsNext: StepsFor<IntervalsBlock> = (block, at) => ({
  up: [
    withLaps('work', block, at, work(5, longest[at.band]), ofWork),
    withLaps(
      'lap',
      block,
      at,
      (laps) => (laps.length < mostLaps ? [...laps, laps.at(-1)!] : undefined),
      (laps) => laps.length,
    ),
    at.band === 2
      ? withLaps(
          'rest',
          block,
          at,
          // Never less than half of the work.
          (laps) =>
            laps.every((lap) => lap.rest - 5 >= Math.max(10, lap.work / 2))
              ? laps.map((lap) => ({ ...lap, rest: lap.rest - 5 }))
              : undefined,
          ofRest,
        )
      : undefined,
    harderVersion(block, at),
  ],
  down: [withLaps('work', block, at, work(-5, Infinity), ofWork), easierVersion(block, at)],
})
