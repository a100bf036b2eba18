import { putCells } from '../../choose/putMove.ts'
import { setCell } from '../../session/edits/stations.ts'
import type { Session } from '../../session/schema.ts'
import type { Cell } from '../../session/station.ts'
import { mapGroups, type PerGroup } from '../../terms/perGroup.ts'
import type { CheckView } from '../view.ts'

/** Walking and marching on the spot: nothing to learn, no equipment, anywhere. */
const gentle = 'march'

/** What every group does when it walks or marches on the spot for a time. */
export function marching(
  { library, session }: CheckView,
  seconds: number,
  version: 'walk' | 'march',
): PerGroup<Cell> | undefined {
  const move = library.moves.get(gentle)
  if (!move) return undefined
  const cells = putCells(move, session.groups, { form: 'list', home: session.home }, library)
  return mapGroups(cells, 'all', (cell) => ({
    ...cell,
    ...(version === 'walk' && { version: move.versions[0]!.id }),
    dose: { unit: 'seconds', amount: seconds },
  }))
}

/** A row made longer for everybody. */
export const longerRow = (session: Session, stationId: string, by: number): Session =>
  setCell(session, stationId, 'all', (cell) =>
    cell.dose?.unit === 'seconds' && typeof cell.dose.amount === 'number'
      ? { ...cell, dose: { unit: 'seconds', amount: cell.dose.amount + by } }
      : cell,
  )
