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
 * The one rule for putting an exercise into a cell, whether added, dropped, typed, swapped or chosen. It gets the version the group is
 * ready for in that home, with the dose the cell had if the exercise takes it, otherwise the school's usual first dose. A load stays if the
 * hands can hold it; a tempo stays.
 *
 * @param cell the current cell; undefined for a new station
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
