import { versionsFor } from '../home/obstacles.ts'
import type { Library } from '../library/library.ts'
import { harderVersion, rowsUp } from '../nextTime/rowSteps.ts'
import { bandOf } from '../checks/limits.ts'
import { newList } from '../forms/list/schema.ts'
import { stationsOf, type Form } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { Workout } from '../session/schema.ts'
import type { Cell, Station } from '../session/station.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import { valueFor } from '../terms/perGroup.ts'
import type { DraftAsk } from './ask.ts'

const workRoles = ['main', 'skill', 'game', 'challenge']
const workBlocks = ({ sections }: Workout) =>
  sections.filter((s) => workRoles.includes(s.role)).flatMap((s) => s.blocks)

/** Forms of the last two sessions' main parts. */
export const recentForms = ({ recent }: DraftAsk): Set<Form> =>
  new Set(recent.flatMap((workout) => workBlocks(workout).map((b) => b.form)))

/** Ids of moves that were done in a session's main parts, by anybody. */
export const workedIn = (workout: Workout): Set<string> =>
  new Set(
    workBlocks(workout)
      .flatMap(stationsOf)
      .flatMap(({ cells }) => [cells.all, ...Object.values(cells.by ?? {})].map((c) => c.move)),
  )

/** What the group nearest in age did of a move in the last two sessions, the latest first. */
export function doneBefore(move: string, group: Group, { recent }: DraftAsk): Cell | undefined {
  for (const workout of recent.toReversed()) {
    const near = [...workout.groups].sort(
      (a, b) => Math.abs(lowestGrade(a) - lowestGrade(group)) - Math.abs(lowestGrade(b) - lowestGrade(group)),
    )[0]
    for (const station of near ? workBlocks(workout).flatMap(stationsOf) : []) {
      const cell = valueFor(station.cells, near!.id)
      if (cell.move === move) return cell
    }
  }
  return undefined
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
  const before = doneBefore(now.move, group, ask)
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
