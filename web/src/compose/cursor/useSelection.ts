import { computed, ref, shallowRef, type ComputedRef, type Ref, type WritableComputedRef } from 'vue'
import { type Group, type Scope } from '@esfuerzo/core'
import type { Row } from '../order/rows.ts'
import { useScope, type EditScope } from './useScope.ts'

/** The cursor of the running order: a row and a cell in it. */
export interface Selection {
  row: string
  /** Index of the cell; −1 is the row's head. */
  cell: number
}

export interface RowSelection extends EditScope {
  /** The cursor. Setting it clears the rest of the selection. */
  selection: WritableComputedRef<Selection | undefined>
  /** The row with the cursor. */
  selectedRow: ComputedRef<Row | undefined>
  /** The selected rows in running order; only the cursor's row if nothing more is selected. */
  selectedRows: ComputedRef<Row[]>
  isSelected: (rowId: string) => boolean
  /** Index of the other end of the selected cells in the cursor's row. */
  cellsTo: Ref<number | undefined>
  /** Selects everything from the anchor to a row. */
  extendTo: (rowId: string) => void
  /** Extends the selection by the next row up (−1) or down (1). */
  extendRows: (by: -1 | 1) => void
  /** Extends the selection by the next cell left (−1) or right (1). */
  extendCells: (by: -1 | 1) => void
  /** Adds a row to the selection, or removes it. */
  toggle: (rowId: string) => void
}

/**
 * The cursor of the running order, and the rows and cells selected with it.
 *
 * @param rows as shown
 * @param groups the session's
 */
export function useSelection(rows: ComputedRef<Row[]>, groups: ComputedRef<readonly Group[]>): RowSelection {
  const cursor = shallowRef<Selection>()
  const anchor = ref<string>()
  const taken = shallowRef<ReadonlySet<string>>(new Set())
  const cellsTo = ref<number>()

  const selection = computed({
    get: () => cursor.value,
    set: (next) => {
      cursor.value = next
      anchor.value = next?.row
      taken.value = new Set()
      cellsTo.value = undefined
      scoped.onMoved()
    },
  })
  const selectedRow = computed(() => rows.value.find((r) => r.id === cursor.value?.row))
  const selectedRows = computed(() =>
    rows.value.filter((r) => r.kind !== 'empty' && (r.id === cursor.value?.row || taken.value.has(r.id))),
  )

  /** The groups of the selected cells. */
  const ofCells = computed((): Scope => {
    const row = selectedRow.value
    const cell = cursor.value?.cell ?? -1
    if (!row || cell < 0) return 'all'
    const to = cellsTo.value ?? cell
    const spans = row.spans.slice(Math.min(cell, to), Math.max(cell, to) + 1)
    const ids = spans.flatMap((span) => span.groupIds)
    return ids.length === 0 || ids.length === groups.value.length ? 'all' : ids
  })
  const scoped = useScope(ofCells, groups)

  function extendTo(rowId: string): void {
    const index = (id: string | undefined) => rows.value.findIndex((r) => r.id === id)
    const [a, b] = [index(anchor.value ?? cursor.value?.row), index(rowId)]
    if (a < 0 || b < 0) return
    taken.value = new Set(rows.value.slice(Math.min(a, b), Math.max(a, b) + 1).map((r) => r.id))
    cursor.value = { row: rowId, cell: cursor.value?.cell ?? -1 }
  }

  return {
    selection,
    selectedRow,
    selectedRows,
    isSelected: (rowId) => cursor.value?.row === rowId || taken.value.has(rowId),
    cellsTo,
    ...scoped,
    extendTo,
    extendRows(by) {
      const at = rows.value.findIndex((r) => r.id === cursor.value?.row)
      const next = rows.value[at + by]
      if (next) extendTo(next.id)
    },
    extendCells(by) {
      const row = selectedRow.value
      if (!row || !cursor.value || cursor.value.cell < 0) return
      const to = (cellsTo.value ?? cursor.value.cell) + by
      if (to >= 0 && to < row.spans.length) cellsTo.value = to
    },
    toggle(rowId) {
      const next = new Set(taken.value)
      if (cursor.value) next.add(cursor.value.row)
      if (!next.delete(rowId)) {
        next.add(rowId)
        cursor.value = { row: rowId, cell: cursor.value?.cell ?? -1 }
      } else if (cursor.value?.row === rowId) {
        const last = [...next].at(-1)
        cursor.value = last === undefined ? undefined : { row: last, cell: cursor.value.cell }
      }
      anchor.value = rowId
      taken.value = next
    },
  }
}
