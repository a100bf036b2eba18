import { stationsOf, type Block } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { CheckedCell, CheckView } from './view.ts'

/** The rows of main-part circuits as each group does them, in order. */
export function circuits({ session, cells }: CheckView): { block: Block; rows: CheckedCell[] }[] {
  const mine = new Map<string, CheckedCell[]>()
  for (const cell of cells) {
    const key = `${cell.block.id} ${cell.group.id}`
    const rows = mine.get(key)
    if (rows) rows.push(cell)
    else mine.set(key, [cell])
  }
  return session.sections
    .filter((s) => s.role === 'main' || s.role === 'challenge')
    .flatMap((s) => s.blocks)
    .filter((block) => traitsOf(block).circuit && stationsOf(block).length > 2)
    .flatMap((block) =>
      session.groups.flatMap((group) => {
        const rows = mine.get(`${block.id} ${group.id}`)
        return rows ? [{ block, rows }] : []
      }),
    )
}
