import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import { changeSeconds, stanceFor } from '../timing/changeOver.ts'
import { defaultPace } from '../timing/pace.ts'
import { roundHalfUp } from '../timing/span.ts'
import type { Step } from '../timing/step.ts'
import { totals } from '../timing/totals.ts'
import { stationsOf, type Block } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { Group } from '../terms/group.ts'
import { valueFor } from '../terms/perGroup.ts'
import { cellAt } from '../session/station.ts'
import { vigorousMet } from '../terms/effort.ts'
import { gradeBounds, loadedSets, shortSprints } from './gradeBounds.ts'

export type Bound =
  | 'work'
  | 'workPerRest'
  | 'vigorousSeconds'
  | 'loadedSets'
  | 'changeOver'
  | 'landings'
  | 'hardLandings'

/** How close a block is to a grade's limits. Landings are limited by session: a block has its share. */
export interface BoundUse {
  line: Bound
  value: number
  most: number
}

/**
 * How much of each limit of its grade a block uses for one group; limits that do not apply are left out.
 *
 * @param steps the block's steps, timed for the group
 * @example a circuit of 40/20 for K–1 has work at 40 of 30 and workPerRest at 2 of 1
 */
export function blockBounds(
  block: Block,
  group: Group,
  steps: readonly Step[],
  library: Library,
  pace = defaultPace(group),
): BoundUse[] {
  const lines = gradeBounds(group)
  const seconds = steps.reduce((sum, s) => sum + s.seconds.typical, 0)
  const uses = clockBounds(block, group, seconds, library, pace)
  const sets = setsOf(block, group.id)
  if (sets !== undefined) uses.push({ line: 'loadedSets', value: sets, most: loadedSets })
  const { landings, hardLandings } = totals(steps, group, library, pace).session
  let vigorousSeconds = 0
  for (const step of steps) {
    if (step.kind !== 'work' || !step.move || !step.version) continue
    const { version } = performedBy({ move: step.move, version: step.version }, library)
    if (version.met >= vigorousMet) vigorousSeconds += step.seconds.typical
  }
  for (const [line, value] of Object.entries({ vigorousSeconds, landings, hardLandings }) as [
    'vigorousSeconds' | 'landings' | 'hardLandings',
    number,
  ][])
    if (value > 0) uses.push({ line, value, most: lines[line] })
  return uses
}

/** Sets or rounds of work with a weight in the hands. */
function setsOf(block: Block, groupId: string): number | undefined {
  if (!stationsOf(block).some((s) => valueFor(s.cells, groupId).load)) return undefined
  return traitsOf(block).sets?.(block, groupId)
}

/**
 * Timed work and rest, and whether a rest is long enough to get into position; undefined for other forms.
 *
 * @param seconds the whole block's
 */
export function clockBounds(block: Block, group: Group, seconds: number, library: Library, pace: number): BoundUse[] {
  const clock = traitsOf(block).clock?.(block, group.id)
  if (!clock || stationsOf(block).length === 0) return []
  const lines = gradeBounds(group)
  const { laps, lapRest, pick } = clock
  const uses = { work: 0, workPerRest: 0, changeOver: 0 }
  const turns = laps.map((_, l) =>
    stationsOf(block).map((station) => {
      const cell = cellAt(valueFor(station.cells, group.id), l + 1)
      const what = performedBy(cell, library)
      return { met: what.version.met, stance: stanceFor(what, cell.load !== undefined, library) }
    }),
  )
  laps.forEach(({ work, rest }, l) => {
    const here = turns[l]!
    here.forEach(({ stance }, i) => {
      const next = here[i + 1] ?? turns[l + 1]?.[0]
      if (!next || pick) return
      const lastOfLap = i === here.length - 1
      const own = lastOfLap ? (lapRest ?? rest) : rest
      const needed = roundHalfUp(changeSeconds(stance, next.stance) * pace)
      uses.changeOver = Math.max(uses.changeOver, needed - own)
    })
    if (!here.some((t) => t.met >= vigorousMet)) return
    const sprint =
      work <= shortSprints.work && work <= rest * shortSprints.workPerRest && seconds <= shortSprints.seconds
    if (sprint) return
    uses.work = Math.max(uses.work, work)
    if (turns.length * here.length > 1) uses.workPerRest = Math.max(uses.workPerRest, rest ? work / rest : Infinity)
  })
  return [
    { line: 'work', value: uses.work, most: lines.work },
    { line: 'workPerRest', value: uses.workPerRest, most: lines.workPerRest },
    { line: 'changeOver', value: uses.changeOver, most: 0 },
  ]
}
