import { versionsFor } from '../home/obstacles.ts'
import type { Library } from '../library/library.ts'
import { harderVersion, rowsUp } from '../nextTime/rowSteps.ts'
import { bandOf } from '../checks/limits.ts'
import { newList } from '../forms/list/schema.ts'
import { stationsOf, type Block, type Form } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { Session } from '../session/schema.ts'
import type { Cell, Station } from '../session/station.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import type { Move } from '../terms/move.ts'
import { valueFor } from '../terms/perGroup.ts'
import { calmVersions } from '../suggest/candidates.ts'
import type { DraftAsk } from './ask.ts'

const workRoles = ['main', 'skill', 'game', 'challenge']
/** Where a move may have been done, its work before what is round it. */
const everyRole = [...workRoles, 'warmUp', 'coolDown']
const workBlocks = ({ sections }: Session, roles = workRoles) =>
  roles.flatMap((role) => sections.filter((s) => s.role === role)).flatMap((s) => s.blocks)

/** Forms of the last two sessions' main parts. */
export const recentForms = ({ recent }: DraftAsk): Set<Form> =>
  new Set(recent.flatMap((session) => workBlocks(session).map((b) => b.form)))

/** Ids of moves that were done in a session's main parts, by anybody. */
export const workedIn = (session: Session): Set<string> =>
  new Set(
    workBlocks(session)
      .flatMap(stationsOf)
      .flatMap(({ cells }) => [cells.all, ...Object.values(cells.by ?? {})].map((c) => c.move)),
  )

/** A clock as a lane has it: the seconds of its first work, and its laps. */
interface Clock {
  work: number
  laps: number
}
const clockOf = (block: Block, groupId: string): Clock | undefined => {
  const laps = traitsOf(block).clock?.(block, groupId).laps
  return laps?.[0] && { work: laps[0].work, laps: laps.length }
}

/** What the group nearest in age did of a move in the last two sessions, the latest first, and by which clock. */
export function doneBefore(
  move: string,
  group: Group,
  { recent }: DraftAsk,
): { cell: Cell; clock: Clock | undefined } | undefined {
  for (const session of recent.toReversed()) {
    const near = [...session.groups].sort(
      (a, b) => Math.abs(lowestGrade(a) - lowestGrade(group)) - Math.abs(lowestGrade(b) - lowestGrade(group)),
    )[0]
    if (!near) continue
    for (const block of workBlocks(session, everyRole))
      for (const station of stationsOf(block)) {
        const cell = valueFor(station.cells, near.id)
        if (cell.move === move) return { cell, clock: clockOf(block, near.id) }
      }
  }
  return undefined
}

/** The clock a group did a move by, where none of it was counted: by a clock again, only a longer one is a step on. */
export function clockBefore(move: string, group: Group, form: Form, ask: DraftAsk): Clock | undefined {
  if (traitsOf({ form }).dose !== 'clock') return undefined
  const before = doneBefore(move, group, ask)
  return before && !before.cell.dose ? before.clock : undefined
}

/** Whether a move is done by a longer clock than before, by some group: longer work, or a lap more of it. */
export const hasLongerClock = (move: string, block: Block, ask: DraftAsk): boolean =>
  ask.groups.some((group) => {
    const before = clockBefore(move, group, block.form, ask)
    const now = clockOf(block, group.id)
    if (!before || !now) return false
    return now.work > before.work || (now.work === before.work && now.laps > before.laps)
  })

/** One thing that raises the pulse is done for so long at most, in seconds. */
export const longestPulse = 90

/**
 * What woke a group last time, ten seconds longer, in the same version; undefined where it was not timed, would be too long, or is not
 * calm or not to be done in this home.
 */
export function longerWarmUp(move: Move, group: Group, ask: DraftAsk, library: Library): Cell | undefined {
  const before = doneBefore(move.id, group, ask)?.cell
  if (before?.dose?.unit !== 'seconds' || typeof before.dose.amount !== 'number') return undefined
  const amount = before.dose.amount + 10
  const calm = calmVersions(move, group, ask.home, library).some(({ id }) => id === before.version)
  if (amount > longestPulse || !calm) return undefined
  return { move: move.id, version: before.version, dose: { unit: 'seconds', amount } }
}

/** So many reps are still the same dose; the youngest, who mostly get another version, have fewer. Ours. */
const mostReps = [8, 15, 15] as const

/** A little more of what is counted, where there is no other step: a rep, or five seconds of a hold of less than half a minute. */
function alittleMore(cell: Cell, group: Group): Cell | undefined {
  const { dose } = cell
  if (typeof dose?.amount !== 'number') return undefined
  if (dose.unit === 'reps' && dose.amount < mostReps[bandOf(group.grades)])
    return { ...cell, dose: { ...dose, amount: dose.amount + 1 } }
  if (dose.unit === 'seconds' && dose.amount <= 25) return { ...cell, dose: { ...dose, amount: dose.amount + 5 } }
  return undefined
}

/**
 * A row one step on from what the group did of its move: a rep or a few seconds more, or the next version; by a clock the next version,
 * or what was counted and one more as a goal. Undefined where there is no step, or it was not done.
 */
export function oneStepOn(
  station: Station,
  group: Group,
  form: Form,
  ask: DraftAsk,
  library: Library,
): Cell | undefined {
  const now = valueFor(station.cells, group.id)
  const before = doneBefore(now.move, group, ask)?.cell
  if (!before) return undefined
  const at = { group, band: bandOf(group.grades), library, home: ask.home }
  const { dose } = traitsOf({ form })
  const counted = dose === 'open' || dose === 'own'
  const said = before.dose ?? (counted ? now.dose : undefined)
  const cell: Cell = { move: before.move, version: before.version, ...(said && dose !== 'form' && { dose: said }) }
  const block = { ...newList('step'), stations: [{ id: 'step', cells: { all: cell } }] }
  const steps = counted ? rowsUp(block, at) : [harderVersion(block, at)]
  const stepped = steps.flatMap((step) => (step ? stationsOf(step.block) : []))[0]
  const next = stepped ? valueFor(stepped.cells, group.id) : alittleMore(cell, group)
  // What was done there may not be done in this home.
  const ready = next && versionsFor(library.moves.get(next.move)!, ask.home, library, lowestGrade(group))
  return ready?.some(({ id }) => id === next!.version) ? next : undefined
}

/** Whether a cell is a step on from what was done: another version up its ladder, more of it, counted where it went by a clock, a longer clock. */
function isOnFrom(
  now: Cell,
  clock: Clock | undefined,
  before: NonNullable<ReturnType<typeof doneBefore>>,
  library: Library,
): boolean {
  const place = (id: string | undefined) => library.moves.get(now.move)!.versions.findIndex((v) => v.id === id)
  const versions = [now.version, ...(now.fromLap ?? []).flatMap((c) => c.version ?? [])]
  if (versions.some((id) => place(id) > place(before.cell.version))) return true
  const amount = ({ dose }: Cell) => (typeof dose?.amount === 'number' ? dose.amount : 0)
  const then = before.cell.dose
  if (then) return now.dose?.unit === then.unit && amount(now) > amount(before.cell)
  if (!clock || !before.clock) return now.dose !== undefined
  return clock.work > before.clock.work || (clock.work === before.clock.work && clock.laps > before.clock.laps)
}

/** Whether something of the last two sessions comes back one step on in a session, for some group. */
export const bringsBack = (session: Session, ask: DraftAsk, library: Library): boolean =>
  ask.groups.some((group) =>
    workBlocks(session, ['warmUp', 'skill', 'main']).some((block) =>
      stationsOf(block).some((station) => {
        const now = valueFor(station.cells, group.id)
        const before = doneBefore(now.move, group, ask)
        return before !== undefined && isOnFrom(now, clockOf(block, group.id), before, library)
      }),
    ),
  )
