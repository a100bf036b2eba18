/** A place in the grid: row and column from 0. */
export interface CellPlace {
  row: number
  column: number
}

/** How large the grid is. */
export interface Size {
  rows: number
  columns: number
}

/** The active cell, the selection, and the column where a row was started, to which Enter returns. */
export interface Selection {
  active: CellPlace
  /** The other corner of the selection. */
  anchor: CellPlace
  begun: number
}

export const at = (row: number, column: number): Selection => ({
  active: { row, column },
  anchor: { row, column },
  begun: column,
})

const held = (n: number, count: number) => Math.max(0, Math.min(count - 1, n))

/** A selection with its active cell moved within the grid. @param extend keeps the other corner */
function moved({ active, anchor, begun }: Selection, rows: number, columns: number, size: Size, extend: boolean) {
  const next = { row: held(active.row + rows, size.rows), column: held(active.column + columns, size.columns) }
  return { active: next, anchor: extend ? anchor : next, begun: extend ? begun : next.column }
}

/** The effect of keys on a selection. */
export interface Pressed {
  key: string
  shift?: boolean
  ctrl?: boolean
}

/** Rows of a page of the grid. */
const page = 10

const steps: Record<string, readonly [rows: number, columns: number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-page, 0],
  PageDown: [page, 0],
}

/**
 * Where a key leads: arrows, with Shift to select; Home and End along the row, with Control through the grid; Tab to the right and Enter
 * down to the column where the row was started, so that forms can be typed row by row.
 *
 * @returns undefined for a key that leads nowhere: Tab past the grid's end leaves it
 */
export function lead(
  from: Selection,
  { key, shift = false, ctrl = false }: Pressed,
  size: Size,
): Selection | undefined {
  const { active, begun } = from
  const far = Math.max(size.rows, size.columns)
  const step = steps[key]
  if (step) return moved(from, step[0] * (ctrl ? far : 1), step[1] * (ctrl ? far : 1), size, shift)
  if (key === 'Home') return moved(from, ctrl ? -far : 0, -far, size, shift)
  if (key === 'End') return moved(from, ctrl ? far : 0, far, size, shift)
  if (key === 'Enter') {
    if (shift) return at(held(active.row - 1, size.rows), active.column)
    return active.row + 1 < size.rows ? at(active.row + 1, begun) : at(active.row, active.column)
  }
  if (key !== 'Tab') return undefined
  const column = active.column + (shift ? -1 : 1)
  if (column < 0 || column >= size.columns) return undefined
  return { ...at(active.row, column), begun }
}

/** The selected rows and columns, including the ends. */
export function area({ active, anchor }: Selection): { top: number; left: number; bottom: number; right: number } {
  return {
    top: Math.min(active.row, anchor.row),
    bottom: Math.max(active.row, anchor.row),
    left: Math.min(active.column, anchor.column),
    right: Math.max(active.column, anchor.column),
  }
}

/** Every place of a selection, row by row. */
export function places(selection: Selection): CellPlace[] {
  const { top, left, bottom, right } = area(selection)
  const found: CellPlace[] = []
  for (let row = top; row <= bottom; row++)
    for (let column = left; column <= right; column++) found.push({ row, column })
  return found
}

/** A text for a place. */
export interface PlacedText extends CellPlace {
  text: string
}

/**
 * Where the cells of a pasted block go: from the selection's corner on; a single cell, or a row or column that fits, fills the selection.
 *
 * @returns the texts, and how many are outside the grid
 */
export function placeBlock(
  block: readonly (readonly string[])[],
  selection: Selection,
  size: Size,
): { placed: PlacedText[]; outside: number } {
  const { top, left, bottom, right } = area(selection)
  const height = block.length
  const width = Math.max(0, ...block.map((line) => line.length))
  if (!height || !width) return { placed: [], outside: 0 }
  const fills = (selected: number, pasted: number) => (selected % pasted === 0 ? selected : pasted)
  const [rows, columns] = [fills(bottom - top + 1, height), fills(right - left + 1, width)]
  const placed: PlacedText[] = []
  let outside = 0
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < columns; c++) {
      const text = block[r % height]?.[c % width]
      if (text === undefined) continue
      const place = { row: top + r, column: left + c }
      if (place.row < size.rows && place.column < size.columns) placed.push({ ...place, text })
      else outside++
    }
  }
  return { placed, outside }
}
