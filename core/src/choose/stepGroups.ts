import { obstacles } from '../home/obstacles.ts'
import type { Library } from '../library/library.ts'
import { findStation } from '../session/edits/locate.ts'
import { setCell } from '../session/edits/stations.ts'
import type { Session } from '../session/schema.ts'
import type { Cell } from '../session/station.ts'
import { stepAmount, typicalAmount, type Unit } from '../terms/dose.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import { valueFor } from '../terms/perGroup.ts'

/** A cell that gets a step easier or harder. */
export interface GroupStep {
  station: string
  group: string
  from: Cell
  to: Cell
}

/** One step of a dose: a share of it, at least a whole one. Common practice, no source. */
const share = 0.2
/** Doses are never made less than this. Common practice, no source. */
const least: Partial<Record<Unit, number>> = { reps: 3, seconds: 10 }

function stepped(cell: Cell, group: Group, by: -1 | 1, { home }: Session, library: Library): Cell {
  const move = library.moves.get(cell.move)
  const at = move?.versions.findIndex((v) => v.id === cell.version) ?? -1
  const versions = by < 0 ? move?.versions.slice(0, Math.max(0, at)).toReversed() : move?.versions.slice(at + 1)
  const next = versions?.find(
    (v) => v.fromGrade <= lowestGrade(group) && obstacles(move!, v, home, library).length === 0,
  )
  if (next && at >= 0) return { ...cell, version: next.id }
  if (!cell.dose) return cell
  const now = typicalAmount(cell.dose.amount)
  const amount = stepAmount(cell.dose.amount, by * Math.max(1, Math.round(now * share)))
  if (by < 0 && typicalAmount(amount) < (least[cell.dose.unit] ?? 1)) return cell
  return { ...cell, dose: { ...cell.dose, amount } }
}

/**
 * What changes if some stations get one step easier (−1) or harder (1) for some groups: the next version that the group is ready for and
 * this home allows; where there is none, a fifth less or more of the dose. A station without either stays.
 *
 * @param stations ids, in any order
 * @param groups ids
 * @throws {ProblemError} `not-found`
 * @example stepGroups(session, ['s1'], ['g1'], -1, library) // [{ station: 's1', group: 'g1', from: 10 squats, to: 10 chair squats }]
 */
export function stepGroups(
  session: Session,
  stations: readonly string[],
  groups: readonly string[],
  by: -1 | 1,
  library: Library,
): GroupStep[] {
  return stations.flatMap((station) => {
    const { cells } = findStation(session, station)
    return session.groups
      .filter((g) => groups.includes(g.id))
      .flatMap((group) => {
        const from = valueFor(cells, group.id)
        const to = stepped(from, group, by, session, library)
        return to === from ? [] : [{ station, group: group.id, from, to }]
      })
  })
}

/** The session with the steps, as one edit. */
export const applySteps = (session: Session, steps: readonly GroupStep[]): Session =>
  steps.reduce((now, { station, group, to }) => setCell(now, station, [group], () => to), session)
