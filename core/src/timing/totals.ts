import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import type { Group } from '../terms/group.ts'
import { secondsPerRep } from './countedWork.ts'
import { defaultPace } from './pace.ts'
import { noTime, type Span } from './span.ts'
import type { Step } from './step.ts'

/** The totals of a group's steps, for a block, a section or the whole session. Seconds are typical unless stated. */
export interface Totals {
  seconds: Span
  work: number
  rest: number
  /** Changing over, and changing sides. */
  change: number
  talk: number
  /** Measuring: neither work nor rest. */
  measure: number
  /** Reps by move id; timed work counts the reps it has time for. */
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

const add = (sums: Record<string, number>, key: string, n: number) => {
  sums[key] = (sums[key] ?? 0) + n
}

/**
 * Adds up a group's steps per block, section and session.
 *
 * @param steps from `timeline`
 * @param group whose steps they are; timed work counts reps at its pace
 */
export function totals(
  steps: readonly Step[],
  group: Group,
  library: Library,
  pace = defaultPace(group),
): SessionTotals {
  const blocks = new Map<string, Step[]>()
  for (const step of steps) {
    const there = blocks.get(step.block)
    if (there) there.push(step)
    else blocks.set(step.block, [step])
  }
  return sumOfBlocks(
    [...blocks].map(([block, own]) => ({ block, section: own[0]!.section, totals: blockTotals(own, library, pace) })),
  )
}

/** The totals of a session from those of its blocks. */
export function sumOfBlocks(blocks: readonly { block: string; section: string; totals: Totals }[]): SessionTotals {
  const result: SessionTotals = { session: empty(), sections: {}, blocks: {} }
  const parts = new Map<string, Totals[]>()
  for (const { block, section, totals } of blocks) {
    result.blocks[block] = totals
    const there = parts.get(section)
    if (there) there.push(totals)
    else parts.set(section, [totals])
    merge(result.session, totals)
  }
  for (const [section, own] of parts) result.sections[section] = own.length === 1 ? own[0]! : sumOf(own)
  share(result.session)
  return result
}

function sumOf(parts: readonly Totals[]): Totals {
  const sum = empty()
  for (const part of parts) merge(sum, part)
  share(sum)
  return sum
}

/**
 * The totals of one block's steps.
 *
 * @param library including the session's own exercises
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function blockTotals(steps: readonly Step[], library: Library, pace: number): Totals {
  const sum = empty()
  const works: StationWork[] = []
  const firstOf = new Map<string, StationWork>()
  let last: StationWork | undefined
  const { seconds } = sum
  for (const step of steps) {
    const { low, typical, high } = step.seconds
    seconds.low += low
    seconds.typical += typical
    seconds.high += high
    // Written out, because a table from kind to field takes twice as long.
    if (step.kind === 'work') sum.work += typical
    else if (step.kind === 'rest') sum.rest += typical
    else if (step.kind === 'talk') sum.talk += typical
    else if (step.kind === 'measure') sum.measure += typical
    else sum.change += typical
    if (step.kind !== 'work' || step.station === undefined) continue
    // Usually both sides of one set, or one lap after another.
    if (!last || !isOf(last.step, step)) {
      last = firstOf.get(step.station)
      while (last && !isOf(last.step, step)) last = last.next
    }
    if (!last) {
      works.push((last = { step, seconds: 0, reps: 0, next: firstOf.get(step.station) }))
      firstOf.set(step.station, last)
    }
    last.seconds += typical
    if (step.reps) last.reps += step.reps
  }
  for (const work of works) addWork(sum, work, library, pace)
  share(sum)
  return sum
}

const share = (sum: Totals) => void (sum.active = sum.seconds.typical ? sum.work / sum.seconds.typical : 0)

/** All the work of one station in one version: laps may use another. */
interface StationWork {
  step: Step
  seconds: number
  /** Counted reps; 0 for timed work. */
  reps: number
  /** Another of the same station. */
  next: StationWork | undefined
}

const isOf = (a: Step, b: Step) => a.station === b.station && a.version === b.version && a.tempo === b.tempo

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

function addAll(sums: Record<string, number>, more: Record<string, number>): void {
  for (const id in more) sums[id] = (sums[id] ?? 0) + more[id]!
}

function merge(sum: Totals, more: Totals): void {
  sum.seconds.low += more.seconds.low
  sum.seconds.typical += more.seconds.typical
  sum.seconds.high += more.seconds.high
  sum.work += more.work
  sum.rest += more.rest
  sum.change += more.change
  sum.talk += more.talk
  sum.measure += more.measure
  sum.landings += more.landings
  sum.hardLandings += more.hardLandings
  addAll(sum.reps, more.reps)
  addAll(sum.muscles, more.muscles)
  addAll(sum.families, more.families)
  addAll(sum.categories, more.categories)
}
