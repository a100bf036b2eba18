import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { v5 as uuid } from 'uuid'
import { type Library } from '@esfuerzo/core'
import type { Lane, Publication } from '@esfuerzo/core/publication'
import {
  asksPulse,
  courseOf,
  feltScale,
  pulsesAsked,
  runVersion,
  type CountedStep,
  type Result,
  type Run,
} from '@esfuerzo/core/run'
import type { DemoPupil } from './classes.ts'
import { demoTries } from './tests.ts'

/** Names the demo's runs, so that the same seed makes the same ids. */
const namespace = '6f1d2c84-52b6-4a0f-9a53-0d9f1b0e7c11'

/** A run with its pupil's alias, or nobody's if no code was given. */
export interface DemoRun {
  run: Run
  alias?: string
}

/** As what a demo session was sent, and when. */
export interface DemoSent {
  publication: Publication
  sha256: string
  sentAt: Date
  /** Nothing is later than this. */
  until: Date
  weeksAgo: number
  /** Whether two runs went oddly: one was left open over supper, one was skipped through. */
  odd: boolean
  /** A test day: nearly every home sends results. */
  tests: boolean
}

/**
 * The runs of a session: from a seed, spread over the days after it was sent home, by children with a pace of their own who do some
 * sessions and skip others; two or three of each lane without a code.
 */
export function demoRuns(sent: DemoSent, pupils: readonly DemoPupil[], library: Library, seed: number): DemoRun[] {
  const random = xoroshiro128plus(seed)
  const next = (from: number, to: number) => uniformInt(random, from, to)
  const runs = sent.publication.lanes.flatMap((lane) => {
    const own = pupils.filter((p) => p.grades.some((grade) => lane.grades.includes(grade)))
    const ran = own.filter((p) => next(0, 99) < (sent.tests ? Math.max(88, p.diligence) : p.diligence))
    const some = Array.from({ length: next(1, 3) }, () => undefined)
    return [...ran, ...some].map((pupil, i) => oneRun(sent, lane, pupil, i, library, next))
  })
  if (!sent.odd) return runs
  const [slow, skipped] = [runs[2]!.run, runs[5]!.run]
  const took = Date.parse(slow.finishedAt) - Date.parse(slow.startedAt)
  slow.startedAt = new Date(Date.parse(slow.startedAt) - 1.4 * took).toISOString()
  skipped.steps = { done: 0, skipped: skipped.steps.done + skipped.steps.skipped, easier: 0 }
  skipped.results = []
  return runs
}

function oneRun(
  { publication, sha256, sentAt, until, weeksAgo }: DemoSent,
  lane: Lane,
  pupil: DemoPupil | undefined,
  i: number,
  library: Library,
  next: (from: number, to: number) => number,
): DemoRun {
  const scale = feltScale(lane.grades)
  const works = courseOf(publication, [lane.id]).lanes[0]!.steps.filter((s) => s.kind === 'work').length
  const minutes = next(60, 5 * 24 * 60)
  const startedAt = new Date(Math.min(sentAt.getTime() + minutes * 60_000, until.getTime() - 3_600_000))
  const skipped = next(0, 5) === 0 ? next(1, 3) : 0
  const share = pupil ? pupil.share * (1 + pupil.growth * (6 - weeksAgo)) : next(80, 110) / 100
  const felt = Math.max(2, Math.min(8, Math.round(11 - 6 * share) + next(-1, 1)))
  const run: Run = {
    format: 'esfuerzo.run',
    version: runVersion,
    id: uuid(`${sha256}:${lane.id}:${pupil?.alias ?? i}:${weeksAgo}`, namespace),
    publication: sha256,
    group: lane.id,
    startedAt: startedAt.toISOString(),
    finishedAt: new Date(startedAt.getTime() + (lane.seconds.typical + next(0, 180)) * 1000).toISOString(),
    zone: 'Atlantic/Azores',
    steps: { done: works - skipped, skipped, easier: 0 },
    ended: 'whole',
    felt: scale === 'faces' ? { scale, value: Math.max(2, Math.min(5, Math.ceil(felt / 2))) } : { scale, value: felt },
    counted: countedOf(lane, pupil, next),
    results: [
      ...resultsOf(publication, lane, share, library, next),
      ...demoTries(publication, lane, pupil, weeksAgo, next),
    ],
    ...(asksPulse(lane) && {
      pulses: pulsesAsked(lane).map((when) => ({ beats: next(19, 28), seconds: 10 as const, when })),
    }),
  }
  return { run, ...(pupil && { alias: pupil.alias }) }
}

/** A child's pace in work at its own pace; led work says nothing about it. */
function countedOf(
  lane: Lane,
  pupil: DemoPupil | undefined,
  next: (from: number, to: number) => number,
): CountedStep[] {
  return lane.steps.flatMap(({ kind, by, tempo, seconds }, step) =>
    kind === 'work' && by === 'count' && tempo === 'own'
      ? [
          {
            step,
            seconds: Math.round(seconds.typical * (pupil?.pace ?? 1) * next(94, 108)) / 100 + 1,
            by: 'tap' as const,
            seen: true,
            spoken: false,
          },
        ]
      : [],
  )
}

/** What a child counted: about its share of the typical amount, some days better; sometimes a lap is forgotten. */
function resultsOf(
  publication: Publication,
  lane: Lane,
  share: number,
  library: Library,
  next: (from: number, to: number) => number,
): Result[] {
  const asked = publication.sections
    .flatMap((s) => s.blocks)
    .flatMap((b) => b.stations.filter((s) => s.record).map((s) => ({ block: b.id, station: s.id, unit: s.record! })))
  return asked.flatMap(({ block, station, unit }) => {
    const steps = lane.steps.filter((s) => s.station === station && s.kind === 'work')
    const laps = [...new Map(steps.map((s, n) => [s.set ?? s.lap ?? n + 1, s])).entries()]
    return laps.slice(0, 8).flatMap(([lap, s]): Result[] => {
      if (next(0, 24) === 0) return []
      const version = library.moves.get(s.move!)!.versions.find((v) => v.id === s.version)!
      const typical = s.reps ?? s.seconds.typical / (version.secondsPerRep * lane.pace)
      const day = next(90, 110) / 100
      return [
        {
          block,
          station,
          lap,
          unit,
          value: Math.max(1, Math.round(typical * share * day)),
          clean: next(0, 7) === 0 ? 'no' : 'yes',
        },
      ]
    })
  })
}
