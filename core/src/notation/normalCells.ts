import type { Library } from '../library/library.ts'
import { sameValue } from '../base/sameValue.ts'
import { canonical, valueFor, type PerGroup } from '../terms/perGroup.ts'
import type { Cell } from '../session/station.ts'

/**
 * The one way of storing what each group does at a station: the value most groups have is shared; in a tie the standard version of its
 * move, then the first. No group's value changes.
 *
 * @param groupIds all groups, in order
 */
export function normalCells(
  cells: PerGroup<Cell>,
  groupIds: readonly string[],
  library: Pick<Library, 'moves'>,
): PerGroup<Cell> {
  const values = groupIds.map((id) => valueFor(cells, id))
  const count = (cell: Cell) => values.filter((other) => sameValue(other, cell)).length
  const isStandard = (cell: Cell) => library.moves.get(cell.move)?.standard === cell.version
  const all = values.reduce((best, cell) => {
    const more = count(cell) - count(best)
    return more > 0 || (more === 0 && isStandard(cell) && !isStandard(best)) ? cell : best
  })
  return canonical({ all, by: Object.fromEntries(groupIds.map((id, i) => [id, values[i]!])) })
}
