import type { Policy } from '../terms/settings.ts'
import type { Form } from '../session/forms.ts'
import type { Group } from '../terms/group.ts'
import type { PerGroup } from '../terms/perGroup.ts'
import type { Home } from '../session/schema.ts'
import type { Cell } from '../session/station.ts'
import { firstDose, sharedCells } from '../library/cellsFor.ts'
import type { Library } from '../library/library.ts'
import type { Move } from '../terms/move.ts'
import { versionAtHome } from './versionAtHome.ts'

/** Where an exercise is added: the form of its block, the home, and the school's holding time for stretches. */
export interface MovePlace {
  form: Form
  home: Home
  hold?: Policy['hold'] | undefined
}

/**
 * The one rule for putting a move into a cell, however it gets there: added, dropped, typed, swapped or chosen. It comes in the
 * version the group is ready for in that home, with the dose the cell had where the move takes that, else the move's first by the
 * school's policy. A load stays where a weight can be held, a tempo stays.
 *
 * @param cell what stands there; left out for a new station
 */
export function putMove(
  cell: Cell | undefined,
  move: Move,
  group: Pick<Group, 'grades'>,
  { form, home, hold }: MovePlace,
  library: Pick<Library, 'kit'>,
): Cell {
  const dose = cell?.dose && move.measures.includes(cell.dose.unit) ? cell.dose : firstDose(move, group, form, hold)
  return {
    move: move.id,
    version: versionAtHome(move, group, home, library).id,
    ...(dose && { dose }),
    ...(cell?.load && move.loadable && { load: cell.load }),
    ...(cell?.tempo && { tempo: cell.tempo }),
  }
}

/** What every group does when an exercise is added as a new station; the most common cell is the shared value. */
export const putCells = (
  move: Move,
  groups: readonly Group[],
  place: MovePlace,
  library: Pick<Library, 'kit'>,
): PerGroup<Cell> => sharedCells(groups, (group) => putMove(undefined, move, group, place, library))
