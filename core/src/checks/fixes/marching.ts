import { putCells } from '../../choose/putMove.ts'
import { addSection } from '../../session/edits/sections.ts'
import { addStation, setCell } from '../../session/edits/stations.ts'
import type { Role, Workout } from '../../session/schema.ts'
import type { Cell } from '../../session/station.ts'
import type { CheckView } from '../view.ts'

/** Walking and marching on the spot: what nobody has to learn, with nothing and anywhere. */
const gentle = 'march'

/** What every group does when it walks or marches on the spot for so long. */
export function marching({ library, workout }: CheckView, seconds: number, version: 'walk' | 'march') {
  const move = library.moves.get(gentle)
  if (!move) return undefined
  const cells = putCells(move, workout.groups, { form: 'list', home: workout.home }, library)
  const timed = (cell: Cell): Cell => ({
    ...cell,
    ...(version === 'walk' && { version: move.versions[0]!.id }),
    dose: { unit: 'seconds', amount: seconds },
  })
  return {
    all: timed(cells.all),
    ...(cells.by && { by: Object.fromEntries(Object.entries(cells.by).map(([id, c]) => [id, timed(c)])) }),
  }
}

/** The session with a part of its own for it, after another part or at the beginning. */
export function withPart(
  workout: Workout,
  part: { role: Role; title: string },
  after: string | null,
  cells: { all: Cell },
): Workout {
  const added = addSection(workout, part, after)
  const at = after === null ? 0 : added.sections.findIndex((s) => s.id === after) + 1
  return addStation(added, added.sections[at]!.blocks[0]!.id, cells)
}

/** A row made longer for everybody. */
export const longerRow = (workout: Workout, stationId: string, by: number): Workout =>
  setCell(workout, stationId, 'all', (cell) =>
    cell.dose?.unit === 'seconds' && typeof cell.dose.amount === 'number'
      ? { ...cell, dose: { unit: 'seconds', amount: cell.dose.amount + by } }
      : cell,
  )
