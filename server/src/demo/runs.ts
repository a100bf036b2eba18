import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { v5 as uuid } from 'uuid'
import { type Library, type Workout } from '@esfuerzo/core'
import { publish } from '@esfuerzo/core/publication'
import { courseOf, feltScale, runVersion, type Result, type Run } from '@esfuerzo/core/run'

/** Names the demo's runs, so that the same seed makes the same ids. */
const namespace = '6f1d2c84-52b6-4a0f-9a53-0d9f1b0e7c11'

/** A plausible class's runs of a session: from a seed, spread over the days after it was sent out. */
export function demoRuns(
  workout: Workout,
  library: Library,
  sha256: string,
  sentAt: Date,
  until: Date,
  seed: number,
): Run[] {
  const random = xoroshiro128plus(seed)
  const next = (from: number, to: number) => uniformInt(random, from, to)
  const publication = publish(workout, library)
  return publication.lanes.flatMap((lane) => {
    const scale = feltScale(lane.grades)
    const asked = publication.sections
      .flatMap((s) => s.blocks)
      .flatMap((b) => b.stations.filter((s) => s.record).map((s) => ({ block: b.id, station: s.id })))
    const works = courseOf(publication, [lane.id]).lanes[0]!.steps.filter((s) => s.kind === 'work').length
    return Array.from({ length: next(4, 9) }, (_, i): Run => {
      const minutes = next(60, 5 * 24 * 60)
      const startedAt = new Date(Math.min(sentAt.getTime() + minutes * 60_000, until.getTime() - 3_600_000))
      const skipped = next(0, 5) === 0 ? next(1, 3) : 0
      const results = asked.flatMap(({ block, station }): Result[] => {
        const steps = lane.steps.filter((s) => s.station === station && s.kind === 'work')
        return steps.slice(0, 8).map((s, n): Result => {
          const version = library.moves.get(s.move!)!.versions.find((v) => v.id === s.version)!
          const typical = s.reps ?? s.seconds.typical / (version.secondsPerRep * lane.pace)
          return {
            block,
            station,
            lap: s.lap ?? n + 1,
            unit: 'reps',
            value: Math.max(1, Math.round(typical * (next(70, 125) / 100))),
          }
        })
      })
      return {
        format: 'esfuerzo.run',
        version: runVersion,
        id: uuid(`${sha256}:${lane.id}:${i}`, namespace),
        publication: sha256,
        group: lane.id,
        startedAt: startedAt.toISOString(),
        finishedAt: new Date(startedAt.getTime() + (lane.seconds.typical + next(0, 180)) * 1000).toISOString(),
        zone: 'Atlantic/Azores',
        steps: { done: works - skipped, skipped, easier: 0 },
        felt: scale === 'faces' ? { scale, value: next(2, 5) } : { scale, value: next(3, 8) },
        results,
      }
    })
  })
}
