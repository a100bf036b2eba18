import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { library } from '../../repertoire/library.ts'
import { i18n } from '../../words/i18n.ts'
import { rowsOf, type Row } from '../order/rows.ts'
import { useSession } from '../session/useSession.ts'
import { useSelection, type Selection } from './useSelection.ts'

/** The rows of the running order and their state: cursor, selection, open cell. */
export const useCursor = defineStore('cursor', () => {
  const { t } = i18n.global
  const session = useSession()
  const folded = ref<ReadonlySet<string>>(new Set())
  const rows = computed<Row[]>(() => rowsOf(session.document, library, t, folded.value))
  const { selection, ...taking } = useSelection(
    rows,
    computed(() => session.document.groups),
  )
  const editing = shallowRef<Selection & { typed?: string }>()
  const adding = ref<string>()

  watch(
    () => session.loads,
    () => {
      selection.value = editing.value = adding.value = undefined
      taking.chooseScope([])
      folded.value = new Set()
      // In an empty block the cursor shows where the first exercise goes.
      const isEmpty = rows.value.every(({ kind }) => kind === 'section' || kind === 'empty')
      const first = rows.value.find((row) => row.kind === 'empty')
      if (isEmpty && first) selection.value = { row: first.id, cell: -1 }
    },
    { flush: 'sync' },
  )

  /** Folds a section or opens it again. */
  function toggleFold(sectionId: string): void {
    const next = new Set(folded.value)
    if (!next.delete(sectionId)) next.add(sectionId)
    folded.value = next
  }

  /** Moves the cursor to a row, opening its section if it is folded. */
  function goTo(rowId: string, cell = -1): void {
    const section = rowsOf(session.document, library, t).find((r) => r.id === rowId)?.section
    if (section && section.id !== rowId && folded.value.has(section.id)) toggleFold(section.id)
    selection.value = { row: rowId, cell }
  }

  /** Puts the cursor on the first new row, or on the last one, below which the next row goes. */
  function goToNew(before: ReadonlySet<string>, which: 'first' | 'last' = 'first'): void {
    const added = rowsOf(session.document, library, t).filter((r) => !before.has(r.id) && r.kind !== 'empty')
    const row = added.at(which === 'first' ? 0 : -1)
    if (row) goTo(row.id)
  }

  return {
    ...taking,
    rows,
    folded: computed(() => folded.value),
    toggleFold,
    selection: computed(() => selection.value),
    /** Moves the cursor and clears the rest of the selection. */
    select: (next: Selection | undefined): void => void (selection.value = next),
    goTo,
    goToNew,
    /** The cell being edited in place, and what was typed to start. */
    editing: computed(() => editing.value),
    changeInPlace: (cell: (Selection & { typed?: string }) | undefined): void => void (editing.value = cell),
    /** The row below which the line for new exercises is open. */
    adding: computed(() => adding.value),
    addBelow: (row: string | undefined): void => void (adding.value = row),
  }
})
