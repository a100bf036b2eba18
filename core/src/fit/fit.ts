import type { Library } from '../library/library.ts'
import { sessionSeconds } from '../timing/sessionSeconds.ts'
import { timeline } from '../timing/timeline.ts'
import { isKept, type Section, type Session } from '../session/schema.ts'
import { costScale, finishTogether, fitBuilder, type BuildOptions, type BuiltFit } from './buildFit.ts'
import { applyFit, type FitChange } from './fitChanges.ts'
import type { FitSolution } from './fitProblem.ts'
import { leversOf } from './levers.ts'
import { reach } from './reach.ts'
import { solveFit } from './solveFit.ts'

/** One option: its changes, its cost, and when every lane ends. */
export interface FitWay {
  changes: FitChange[]
  /** How much a teacher would mind, in units of one rest step. */
  cost: number
  /** Seconds by group. */
  after: Record<string, number>
  /** False if the search was cut short and a cheaper way may exist. */
  proven: boolean
}

/** Why a section can't give more. */
export interface FitHold {
  section: string
  why: 'kept' | 'coolDown' | 'warmUp' | 'least'
  /** By group, after the changes. */
  seconds: Record<string, number>
}

export interface FitAnswer {
  /** `fits`: nothing to do; `ways`: possible; `short`: not possible, this is the closest. */
  kind: 'fits' | 'ways' | 'short'
  asked: 'shorten' | 'even' | 'fill'
  /** Seconds. */
  budget: number
  before: Record<string, number>
  /** The one that changes least, then up to two with other levers. */
  ways: FitWay[]
  /** If it is not possible: the seconds still missing, and what prevents it. */
  missing: number
  holds: FitHold[]
}

export interface FitOptions {
  /** Fill a session that is too short, instead of leaving it. */
  fill?: boolean
  /** Share of the work done, 0 to 1. */
  onProgress?: (share: number) => void
}

/** A session is full if it ends within this many seconds before its minutes. Ours. */
export const fullWithin = 60

/** Cost limits, tried in turn: the first solution found below one of them is the cheapest of all. */
const costLimits = [8, 16, 32, 64]

/**
 * The smallest change that makes every group end within the session's minutes, and together if asked: named changes, up to two alternatives
 * that turn other levers, or how near it gets and what prevents it.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 * @example fit(session of 18:20 in 18 minutes, library).ways[0].changes // rest 30 → 25 s in the circuit
 */
export function fit(session: Session, library: Library, { fill = false, onProgress }: FitOptions = {}): FitAnswer {
  const budget = session.minutes * 60
  const before = sessionSeconds(session, library)
  const ends = Object.values(before)
  const late = ends.some((s) => s > budget)
  const apart = session.finishTogether && Math.max(...ends) - Math.min(...ends) > finishTogether
  const low = ends.some((s) => s < budget - fullWithin)
  const asked = late ? 'shorten' : fill && low ? 'fill' : 'even'
  const answer: FitAnswer = { kind: 'fits', asked, budget, before, ways: [], missing: 0, holds: [] }
  if (!late && !apart && asked !== 'fill') return answer

  const builder = fitBuilder(session, library)
  const build = (change: Partial<BuildOptions>) =>
    builder({
      least: asked === 'fill' ? budget - fullWithin : 0,
      most: budget,
      mostCost: costLimits.at(-1)!,
      direction: asked === 'fill' ? 'longer' : asked === 'even' ? 'either' : 'shorter',
      even: session.finishTogether,
      barred: new Set<string>(),
      ...change,
    })
  const first = cheapest(build, new Set(), onProgress)
  if (!first) return { ...answer, kind: 'short', ...nearest(session, library, build, answer) }

  const ways = [first]
  const barred = new Set<string>()
  for (let n = 0; n < 2; n++) {
    for (const { block, lever, station } of ways.at(-1)!.changes)
      if (lever !== 'stay') barred.add(station ? `${block}:out:${station}` : `${block}:${lever}`)
    const other = cheapest(build, barred, undefined)
    if (!other) break
    ways.push(other)
  }
  return { ...answer, kind: 'ways', ways }
}

type Build = (change: Partial<BuildOptions>) => BuiltFit

/** The cheapest option: settings get more expensive until what was found can't be beaten. */
function cheapest(build: Build, barred: Set<string>, onProgress?: (share: number) => void): FitWay | undefined {
  for (const [i, mostCost] of costLimits.entries()) {
    const built = build({ mostCost, barred })
    const below = mostCost * costScale + 1
    const part = (share: number) => onProgress?.((i + share) / costLimits.length)
    if (reach(built.problem).some(([least, most]) => least > built.problem.most || most < built.problem.least)) continue
    const solution = solveFit(built.problem, { onProgress: part, ...(i < costLimits.length - 1 && { below }) })
    if (solution) return wayOf(built, solution)
  }
  return undefined
}

/** The closest: the smallest overrun (or shortfall), then the lowest cost. */
function nearest(session: Session, library: Library, build: Build, { budget, before, asked }: FitAnswer) {
  const fill = asked === 'fill'
  const built = build({})
  const ranges = reach(built.problem)
  // No lane can do better alone, but together they may do worse: double the gap, then halve it back.
  const edge = fill
    ? Math.min(budget - fullWithin, ...ranges.map(([, most]) => most))
    : Math.max(budget, ...ranges.map(([least]) => least))
  const tryAt = (at: number) => {
    const problem = { ...built.problem, ...(fill ? { least: Math.max(0, at) } : { most: at }) }
    const solution = solveFit(problem, { branches: branchesNearest })
    return solution && wayOf(built, solution)
  }
  let best = tryAt(edge)
  let no = edge
  for (let step = finishTogether; !best && step < longest; step *= 2) {
    const at = fill ? edge - step : edge + step
    best = tryAt(at)
    if (!best) no = at
  }
  const end = (way: FitWay) => (fill ? Math.min : Math.max)(...Object.values(way.after))
  while (best && Math.abs(end(best) - no) > 1 && no !== edge) {
    const middle = Math.round((end(best) + no) / 2)
    const nearer = tryAt(middle)
    if (nearer) best = nearer
    else no = middle
  }
  const after = Object.values(best?.after ?? before)
  const missing = fill ? budget - fullWithin - Math.min(...after) : Math.max(...after) - budget
  const changes = best?.changes ?? []
  return { missing: Math.max(0, missing), ways: best ? [best] : [], holds: holdsOf(session, library, changes) }
}

/** Two hours, the longest session. */
const longest = 2 * 3600
/** Branches of each search for the closest option if nothing fits. */
const branchesNearest = 20_000

function wayOf({ choices, groupIds }: BuiltFit, solution: FitSolution): FitWay {
  const changes: FitChange[] = []
  for (const [k, { block, shared, own }] of choices.entries()) {
    const { setting, variant, v } = shared[solution.shared[k]!]!
    const levers = leversOf(block)
    const ownIndex = solution.own[k]!
    const followers = groupIds.filter((_, g) => ownIndex[g] === undefined)
    const turned = (steps: readonly number[], scope: FitChange['scope'], whom: readonly string[]) =>
      levers.flatMap((lever, i): FitChange[] => {
        if (!steps[i] || whom.length === 0) return []
        const from = Object.fromEntries(whom.map((g) => [g, lever.read(block, g)]))
        const to = Object.fromEntries(whom.map((g) => [g, lever.read(lever.turn(block, [g], steps[i]!) ?? block, g)]))
        return [{ block: block.id, lever: lever.kind, scope, steps: steps[i], from, to }]
      })
    changes.push(...turned(setting.steps, 'all', followers))
    for (const station of variant.out)
      changes.push({ block: block.id, lever: 'out', scope: 'all', steps: 0, station, from: {}, to: {} })
    for (const [g, id] of groupIds.entries()) {
      const at = ownIndex[g]
      if (at === undefined) continue
      const made = turned(own[g]![v]![at]!.steps, id, [id])
      changes.push(
        ...(made.length ? made : [{ block: block.id, lever: 'stay' as const, scope: id, steps: 0, from: {}, to: {} }]),
      )
    }
  }
  return {
    changes,
    cost: solution.cost / costScale,
    after: Object.fromEntries(groupIds.map((id, g) => [id, solution.seconds[g]!])),
    proven: solution.proven,
  }
}

/** Every section that can't give more, why, and its length after the changes. */
function holdsOf(session: Session, library: Library, changes: readonly FitChange[]): FitHold[] {
  const changed = new Set(changes.map((c) => c.block))
  const after = applyFit(session, changes)
  const steps = after.groups.map((g) => ({ id: g.id, steps: timeline(after, g.id, library) }))
  const why = (section: Section): FitHold['why'] =>
    section.role === 'coolDown' ? 'coolDown' : isKept(section) ? 'kept' : section.role === 'warmUp' ? 'warmUp' : 'least'
  return session.sections
    .filter((s) => s.blocks.length > 0 && (why(s) !== 'least' || !s.blocks.every((b) => changed.has(b.id))))
    .map((section) => ({
      section: section.id,
      why: why(section),
      seconds: Object.fromEntries(
        steps.map((lane) => [
          lane.id,
          lane.steps.filter((s) => s.section === section.id).reduce((sum, s) => sum + s.seconds.typical, 0),
        ]),
      ),
    }))
}
