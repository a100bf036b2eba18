import { obstacles, versionsFor } from '../home/obstacles.ts'
import type { Form } from '../workout/forms/index.ts'
import { lowestGrade, type Group } from '../workout/group.ts'
import type { Cell } from '../workout/station.ts'
import type { Home } from '../workout/schema.ts'
import { firstDose } from './cellsFor.ts'
import type { Library } from './library.ts'
import type { Move, Version } from './schema.ts'
import { versionFor } from './versionFor.ts'

/** The version of a move for a group in a home: the one it is ready for where that fits, else the hardest easier one that does. */
export function versionAtHome(
  move: Move,
  group: Pick<Group, 'grades'>,
  home: Home,
  library: Pick<Library, 'kit'>,
): Version {
  const ready = versionFor(move, group)
  if (obstacles(move, ready, home, library).length === 0) return ready
  const most = move.versions.indexOf(ready)
  const fitting = versionsFor(move, home, library, lowestGrade(group)).filter((v) => move.versions.indexOf(v) <= most)
  return fitting.at(-1) ?? ready
}

/**
 * A cell with another move in the place of its own: in the version its group is ready for, with the dose it had where the move takes
 * that, else the move's first. A load goes where no weight can be held.
 */
export function swapCell(
  cell: Cell,
  move: Move,
  group: Pick<Group, 'grades'>,
  form: Form,
  home: Home,
  library: Pick<Library, 'kit'>,
): Cell {
  const dose = cell.dose && move.measures.includes(cell.dose.unit) ? cell.dose : firstDose(move, group, form)
  return {
    move: move.id,
    version: versionAtHome(move, group, home, library).id,
    ...(dose && { dose }),
    ...(cell.load && move.loadable && { load: cell.load }),
    ...(cell.tempo && { tempo: cell.tempo }),
  }
}
