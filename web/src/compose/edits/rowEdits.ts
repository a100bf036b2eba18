import {
  duplicateBlock,
  duplicateSection,
  duplicateStation,
  idsOf,
  moveBlock,
  moveSection,
  moveStation,
  removeBlock,
  removeSection,
  removeStation,
  setCell,
  stepAmount,
  type Cell,
  type Move,
  type Policy,
  type Scope,
  type Session,
} from '@esfuerzo/core'
import { putMove } from '@esfuerzo/core/choose'
import { library } from '../../repertoire/library.ts'
import type { Row } from '../order/rows.ts'

type StationRow = Extract<Row, { kind: 'station' }>
type Edit = (w: Session) => Session

/** How each kind of row implements the same four commands. */
const editsOf = {
  station: { move: moveStation, duplicate: duplicateStation, remove: removeStation },
  block: { move: moveBlock, duplicate: duplicateBlock, remove: removeBlock },
  section: { move: moveSection, duplicate: duplicateSection, remove: removeSection },
} as const

/** The commands for selected rows. Rows inside a selected row go with it. */
export interface RowEdits {
  move: (by: -1 | 1) => Edit
  duplicate: Edit
  remove: Edit
}

/**
 * What the four commands do to one or more rows.
 *
 * @param rows in running order
 * @returns undefined if no row supports a command
 */
export function rowEdits(rows: readonly Row[]): RowEdits | undefined {
  const sections = new Set(rows.filter((r) => r.kind === 'section').map((r) => r.id))
  const blocks = new Set(rows.filter((r) => r.kind === 'block').map((r) => r.id))
  const outer = rows.filter(
    (r) =>
      r.kind === 'section' ||
      (r.kind === 'block' && !sections.has(r.section.id)) ||
      (r.kind === 'station' && !sections.has(r.section.id) && !blocks.has(r.block.id)),
  ) as Exclude<Row, { kind: 'empty' }>[]
  if (outer.length === 0) return undefined
  const each = (list: typeof outer, edit: (w: Session, row: (typeof outer)[number]) => Session) => (w: Session) =>
    list.reduce(edit, w)
  return {
    // Starts at the end that moves first, so that neighbors keep their order.
    move: (by) => each(by < 0 ? outer : outer.toReversed(), (w, row) => editsOf[row.kind].move(w, row.id, by)),
    duplicate: each(outer, (w, row) => editsOf[row.kind].duplicate(w, row.id)),
    remove: each(outer, (w, row) => ([...idsOf(w)].includes(row.id) ? editsOf[row.kind].remove(w, row.id) : w)),
  }
}

/** Changes the cells of all stations among some rows, for some groups. */
export const cellEdit =
  (rows: readonly Row[], scope: Scope, change: (cell: Cell) => Cell): Edit =>
  (w) =>
    rows.reduce((now, row) => (row.kind === 'station' ? setCell(now, row.id, scope, change) : now), w)

/** Puts another exercise into the cells of some rows for some groups, each in its own version. */
export const moveEdit =
  (rows: readonly StationRow[], scope: Scope, move: Move, hold: Policy['hold'] | undefined): Edit =>
  (w) =>
    rows.reduce(
      (now, row) =>
        w.groups
          .filter((g) => scope === 'all' || scope.includes(g.id))
          .reduce((doc, group) => {
            const place = { form: row.block.form, home: w.home, hold }
            return setCell(doc, row.id, [group.id], (cell) => putMove(cell, move, group, place, library))
          }, now),
      w,
    )

/** The next easier or harder version of a cell; the same cell at either end. */
export function stepVersion(cell: Cell, by: -1 | 1): Cell {
  const versions = library.moves.get(cell.move)?.versions ?? []
  const at = versions.findIndex((v) => v.id === cell.version)
  const next = versions[at + by]
  return next ? { ...cell, version: next.id } : cell
}

/** How much + and − change a dose. */
const doseStep: Record<NonNullable<Cell['dose']>['unit'], number> = {
  reps: 1,
  seconds: 5,
  breaths: 1,
  metres: 5,
  goes: 1,
  score: 1,
}

/** A cell with its dose one step up (1) or down (−1), within limits. */
export const stepDose = (cell: Cell, by: -1 | 1): Cell =>
  cell.dose
    ? { ...cell, dose: { ...cell.dose, amount: stepAmount(cell.dose.amount, by * doseStep[cell.dose.unit]) } }
    : cell
