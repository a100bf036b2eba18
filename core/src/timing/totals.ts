import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import type { Group } from '../terms/group.ts'
import { secondsPerRep } from './countedWork.ts'
import { defaultPace } from './pace.ts'
import { noTime, type Span } from './span.ts'
import type { Step } from './step.ts'

/** What a group's steps come to, for a block, a section or the whole session. Seconds are typical unless said. */
export interface Totals {
  seconds: Span
  work: number
  rest: number
  /** Changing over, and changing sides. */
  change: number
  talk: number
  /** Measuring: neither work nor rest. */
  measure: number
  /** Reps by move id; clocked work counts the reps it has time for. */
  reps: Record<string, number>
  /** Landings × impact. */
  landings: number
  /** Landings marked hard. */
  hardLandings: number
  /** Seconds of work by main muscle. */
  muscles: Record<string, number>
  families: Record<string, number>
  categories: Record<string, number>
  /** Share of the time that is work, 0 to 1. */
  active: number
}

export interface SessionTotals {
  session: Totals
  sections: Record<string, Totals>
  blocks: Record<string, Totals>
}

const empty = (): Totals => ({
  seconds: { ...noTime },
  work: 0,
  rest: 0,
  change: 0,
  talk: 0,
  measure: 0,
  reps: {},
  landings: 0,
  hardLandings: 0,
  muscles: {},
  families: {},
  categories: {},
  active: 0,
})

const part = {
  work: 'work',
  rest: 'rest',
  change: 'change',
  switch: 'change',
  talk: 'talk',
  measure: 'measure',
} as const

const add = (sums: Record<string, number>, key: string, n: number) => {
  sums[key] = (sums[key] ?? 0) + n
}

/**
 * Adds up a group's steps per block, section and session.
 *
 * @param steps from `timeline`
 * @param group whose steps they are; clocked work counts reps at its pace
 */
export function totals(
  steps: readonly Step[],
  group: Group,
  library: Library,
  pace = defaultPace(group),
): SessionTotals {
  const result: SessionTotals = { session: empty(), sections: {}, blocks: {} }
  const blockSections: Record<string, string> = {}
  const works: Record<string, Map<string, StationWork[]>> = {}
  for (const step of steps) {
    const block = (result.blocks[step.block] ??= empty())
    blockSections[step.block] = step.section
    const { seconds } = step
    block.seconds.low += seconds.low
    block.seconds.typical += seconds.typical
    block.seconds.high += seconds.high
    block[part[step.kind]] += seconds.typical
    if (step.kind !== 'work' || !step.station) continue
    const done = (works[step.block] ??= new Map<string, StationWork[]>())
    let list = done.get(step.station)
    if (!list) done.set(step.station, (list = []))
    let work = list.find((w) => w.step.version === step.version && w.step.tempo === step.tempo)
    if (!work) list.push((work = { step, seconds: 0, reps: 0 }))
    work.seconds += seconds.typical
    work.reps += step.reps ?? 0
  }
  for (const [id, stations] of Object.entries(works))
    for (const list of stations.values()) for (const work of list) addWork(result.blocks[id]!, work, library, pace)
  for (const [id, block] of Object.entries(result.blocks)) {
    merge((result.sections[blockSections[id]!] ??= empty()), block)
    merge(result.session, block)
  }
  for (const sum of [result.session, ...Object.values(result.sections), ...Object.values(result.blocks)]) {
    sum.active = sum.seconds.typical ? sum.work / sum.seconds.typical : 0
  }
  return result
}

/** All the work of one station in one version: laps may bring another. */
interface StationWork {
  step: Step
  seconds: number
  /** Counted reps; 0 where the clock leads. */
  reps: number
}

function addWork(sum: Totals, { step, seconds, reps: counted }: StationWork, library: Library, pace: number): void {
  if (!step.move || !step.version) return
  const { move, version } = performedBy({ move: step.move, version: step.version }, library)
  const timed = seconds / secondsPerRep({ version, tempo: step.tempo, pace })
  const takesReps = counted > 0 || move.measures.includes('reps')
  const reps = counted || timed
  if (takesReps) add(sum.reps, move.id, reps)
  sum.landings += reps * version.impact
  if (version.hard) sum.hardLandings += reps
  for (const muscle of move.muscles.main) add(sum.muscles, muscle, seconds)
  add(sum.families, move.family, seconds)
  add(sum.categories, move.category, seconds)
}

function merge(sum: Totals, more: Totals): void {
  sum.seconds.low += more.seconds.low
  sum.seconds.typical += more.seconds.typical
  sum.seconds.high += more.seconds.high
  for (const key of ['work', 'rest', 'change', 'talk', 'measure', 'landings', 'hardLandings'] as const)
    sum[key] += more[key]
  for (const key of ['reps', 'muscles', 'families', 'categories'] as const) {
    for (const id in more[key]) add(sum[key], id, more[key][id]!)
  }
}
