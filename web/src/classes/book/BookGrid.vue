<script setup lang="ts">
import { createColumnHelper, getCoreRowModel, useVueTable } from '@tanstack/vue-table'
import { defaultRangeExtractor, useVirtualizer, type Range } from '@tanstack/vue-virtual'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Pupil } from '@esfuerzo/contract'
import type { BookColumn } from '@esfuerzo/core/classBook'
import BookRow from './BookRow.vue'
import { blockText, readBlock } from './block.ts'
import { columnName, columnNth, columnUnit, saysPer30 } from './columnText.ts'
import { area, at, lead, placeBlock, places, type CellPlace, type Selection } from './selection.ts'
import type { Book } from './useBook.ts'

/** A session's results: pupils by alias down, what was asked across; with the keys of a spreadsheet. */
const props = defineProps<{ book: Book; pupils: readonly Pupil[] }>()
const { t } = useI18n()
const columns = computed(() => props.book.columns.value)
const size = computed(() => ({ rows: props.pupils.length, columns: columns.value.length }))
const selection = shallowRef<Selection>(at(0, 0))
/** The text being typed into the active cell; undefined if none. */
const editing = ref<string>()
const emit = defineEmits<{ active: [place: CellPlace] }>()
watch(selection, ({ active }) => emit('active', active), { immediate: true })

// Boxes of one form row share a heading.
const helper = createColumnHelper<Pupil>()
const heads = computed(() => {
  const groups: { id: string; columns: BookColumn[] }[] = []
  for (const column of columns.value) {
    const last = groups.at(-1)
    const with_ = last?.columns[0]
    if (
      with_ &&
      column.of > 1 &&
      with_.block === column.block &&
      with_.station === column.station &&
      with_.kind === column.kind
    )
      last.columns.push(column)
    else groups.push({ id: column.key, columns: [column] })
  }
  return groups
})
const table = useVueTable({
  get data() {
    return [...props.pupils]
  },
  get columns() {
    return heads.value.map(({ id, columns: own }) =>
      helper.group({
        id: `of ${id}`,
        header: columnName(own[0]!, t),
        meta: own[0]!,
        columns: own.map((column) => helper.display({ id: column.key, meta: column })),
      }),
    )
  },
  getRowId: (pupil) => pupil.id,
  getCoreRowModel: getCoreRowModel(),
})
const groupHeads = computed(() => table.getHeaderGroups()[0]?.headers ?? [])
const boxHeads = computed(() => table.getHeaderGroups()[1]?.headers ?? [])
/** What is counted and for how long, and that the small number is for thirty seconds. */
const unitText = (column: BookColumn) =>
  [columnUnit(column, t), ...(saysPer30(column) ? [t('book.per30')] : [])].join(' ')
/** Whether several boxes under one heading are counted alike: then the heading says it once. */
const sharesUnit = ({ key }: BookColumn) => {
  const own = heads.value.find((h) => h.columns.some((c) => c.key === key))!.columns
  return own.length > 1 && own.every((c) => unitText(c) === unitText(own[0]!))
}
const metaOf = (header: { column: { columnDef: { meta?: unknown } } }) => header.column.columnDef.meta as BookColumn

// Rows outside the window are not rendered; the active one always is, and all of them are for print.
const frame = useTemplateRef<HTMLElement>('frame')
const printing = ref(false)
useEventListener(window, 'beforeprint', () => (printing.value = true))
useEventListener(window, 'afterprint', () => (printing.value = false))
const rowHeight = 34
const virtual = useVirtualizer(
  computed(() => ({
    count: props.pupils.length,
    getScrollElement: () => frame.value,
    estimateSize: () => rowHeight,
    overscan: 6,
    rangeExtractor: (range: Range) => {
      const { row } = selection.value.active
      const seen = printing.value ? props.pupils.map((_, i) => i) : defaultRangeExtractor(range)
      return [...new Set([...seen, row])].filter((i) => i < props.pupils.length).sort((a, b) => a - b)
    },
  })),
)
const rows = computed(() => virtual.value.getVirtualItems().map(({ index }) => index))
const above = computed(() => (rows.value[0] ?? 0) * rowHeight)
/** Rows skipped before a rendered one, as empty height. */
const gapBefore = (i: number) => (i === 0 ? above.value : (rows.value[i]! - rows.value[i - 1]! - 1) * rowHeight)
const below = computed(() => (props.pupils.length - 1 - (rows.value.at(-1) ?? 0)) * rowHeight)

const idOf = ({ row, column }: CellPlace) => `cell-${row}-${column}`
async function focusActive() {
  const { active } = selection.value
  virtual.value.scrollToIndex(active.row)
  await nextTick()
  const cell = document.getElementById(idOf(active))
  ;(cell?.querySelector('input') ?? cell)?.focus()
  cell?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
}
const go = (next: Selection) => {
  selection.value = next
  return focusActive()
}
const cellAt = ({ row, column }: CellPlace) => ({ pupil: props.pupils[row]!.id, column: columns.value[column]!.key })
const textAt = (place: CellPlace) => {
  const { pupil, column } = cellAt(place)
  return props.book.textOf(pupil, column)
}

function commit() {
  if (editing.value === undefined) return
  const text = editing.value
  editing.value = undefined
  props.book.put([{ ...cellAt(selection.value.active), text }])
}
function begin(text: string) {
  editing.value = text
  void focusActive()
}
const clear = () => props.book.put(places(selection.value).map((place) => ({ ...cellAt(place), text: '' })))
function fillDown() {
  const { top, left, bottom, right } = area(selection.value)
  const from = top === bottom ? top - 1 : top
  if (from < 0) return
  const texts = []
  for (let row = from + 1; row <= bottom; row++)
    for (let column = left; column <= right; column++)
      texts.push({ ...cellAt({ row, column }), text: textAt({ row: from, column }) })
  props.book.put(texts)
}

/** Keys with Control: actions on the selection. */
const commands: Record<string, (shift: boolean) => void> = {
  z: (shift) => (shift ? props.book.redo() : props.book.undo()),
  y: () => props.book.redo(),
  d: fillDown,
  a: () => {
    selection.value = { ...at(0, 0), active: { row: size.value.rows - 1, column: size.value.columns - 1 } }
  },
}
function onKey(event: KeyboardEvent) {
  const { key, shiftKey: shift } = event
  const ctrl = event.ctrlKey || event.metaKey
  if (event.altKey) return
  if (editing.value !== undefined) return onEditingKey(event)
  const command = ctrl && commands[key.toLowerCase()]
  if (command) {
    event.preventDefault()
    return command(shift)
  }
  const next = lead(selection.value, { key, shift, ctrl }, size.value)
  if (next) {
    event.preventDefault()
    return void go(next)
  }
  if (ctrl) return
  if (key === 'Delete' || key === 'Backspace') {
    event.preventDefault()
    return clear()
  }
  if (key === 'F2') return begin(textAt(selection.value.active))
  if (key.length === 1 && /[-−\d,.]/.test(key)) {
    event.preventDefault()
    begin(key)
  }
}
function onEditingKey(event: KeyboardEvent) {
  const { key, shiftKey: shift } = event
  if (key === 'Escape') {
    event.preventDefault()
    editing.value = undefined
    return void focusActive()
  }
  const leaves = key === 'Enter' || key === 'Tab' || key === 'ArrowUp' || key === 'ArrowDown'
  if (!leaves) return
  const next = lead(selection.value, { key, shift }, size.value)
  commit()
  if (next) {
    event.preventDefault()
    void go(next)
  }
}

function onPaste(event: ClipboardEvent) {
  if (editing.value !== undefined) return
  event.preventDefault()
  const block = readBlock(event.clipboardData?.getData('text/plain') ?? '')
  const { placed } = placeBlock(block, selection.value, size.value)
  props.book.put(placed.map(({ text, ...place }) => ({ ...cellAt(place), text })))
}
function onCopy(event: ClipboardEvent) {
  if (editing.value !== undefined) return
  event.preventDefault()
  const { top, left, bottom, right } = area(selection.value)
  const block = props.pupils
    .slice(top, bottom + 1)
    .map((_, r) => columns.value.slice(left, right + 1).map((_c, c) => textAt({ row: top + r, column: left + c })))
  event.clipboardData?.setData('text/plain', blockText(block))
  if (event.type === 'cut') clear()
}

function placeOf(event: Event): CellPlace | undefined {
  const cell = (event.target as Element).closest<HTMLElement>('[role=gridcell]')
  const [, row, column] = /^cell-(\d+)-(\d+)$/.exec(cell?.id ?? '') ?? []
  return row === undefined ? undefined : { row: Number(row), column: Number(column) }
}
function onPointer(event: PointerEvent) {
  const place = placeOf(event)
  if (!place || (event.target as Element).closest('input')) return
  commit()
  if (event.shiftKey) selection.value = { ...selection.value, active: place }
  else selection.value = at(place.row, place.column)
  event.preventDefault()
  void focusActive()
}
/** What was being typed when the grid loses the focus stays. */
function onLeave({ currentTarget, relatedTarget }: FocusEvent) {
  if (!(relatedTarget instanceof Node && (currentTarget as Node).contains(relatedTarget))) commit()
}
function onDouble(event: Event) {
  const place = placeOf(event)
  if (place) begin(textAt(place))
}
/** The cell for users who arrive by Tab. */
const isActive = (row: number) => selection.value.active.row === row
const selected = computed(() => area(selection.value))
const rowSelection = (row: number) =>
  row >= selected.value.top && row <= selected.value.bottom
    ? ([selected.value.left, selected.value.right] as const)
    : undefined

defineExpose({
  /** Goes to a cell, for example from the list of cells with open questions. */
  async goTo(pupil: string, column: string) {
    const row = props.pupils.findIndex((p) => p.id === pupil)
    const index = columns.value.findIndex((c) => c.key === column)
    if (row >= 0 && index >= 0) await go(at(row, index))
  },
})
</script>

<template>
  <div ref="frame" class="frame">
    <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions, vuejs-accessibility/interactive-supports-focus -- its
         cells take the focus -->
    <table
      role="grid"
      :aria-label="t('book.grid')"
      :aria-rowcount="size.rows + 2"
      :aria-colcount="size.columns + 1"
      @keydown="onKey"
      @paste="onPaste"
      @copy="onCopy"
      @cut="onCopy"
      @pointerdown="onPointer"
      @dblclick="onDouble"
      @focusout="onLeave"
    >
      <thead>
        <tr>
          <th rowspan="2" scope="col" class="alias">{{ t('book.alias') }}</th>
          <th v-for="head in groupHeads" :key="head.id" scope="colgroup" :colspan="head.colSpan" class="of">
            {{ columnName(metaOf(head), t) }}
            <span v-if="sharesUnit(metaOf(head))" class="quiet">{{ unitText(metaOf(head)) }}</span>
          </th>
        </tr>
        <tr>
          <th v-for="head in boxHeads" :key="head.id" scope="col" class="box">
            {{ columnNth(metaOf(head), t) }}
            <span v-if="!sharesUnit(metaOf(head))" class="quiet">{{ unitText(metaOf(head)) }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <template v-for="(row, i) in rows" :key="pupils[row]!.id">
          <tr v-if="gapBefore(i) > 0" aria-hidden="true" :style="{ height: `${gapBefore(i)}px` }" />
          <BookRow
            :book="book"
            :pupil="pupils[row]!"
            :row="row"
            :active="isActive(row) ? selection.active.column : -1"
            :selected="rowSelection(row)"
            :editing="isActive(row) ? editing : undefined"
            @type="editing = $event"
          />
        </template>
        <tr v-if="below > 0" aria-hidden="true" :style="{ height: `${below}px` }" />
      </tbody>
    </table>
    <p class="on-paper">{{ t('book.notOnTheWall') }}</p>
  </div>
</template>

<style scoped>
.frame {
  overflow: auto;
  max-height: calc(100vh - 250px);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--corner);
}
table {
  min-width: 100%;
  border-collapse: separate;
  border-spacing: 0;
  font-variant-numeric: tabular-nums;
  user-select: none;
}
thead th {
  position: sticky;
  z-index: 2;
  background: var(--card);
  padding: 6px 10px 2px;
  font-weight: 700;
  text-align: left;
  vertical-align: bottom;
}
thead th span {
  font-weight: 400;
  font-size: 13px;
}
thead tr:first-child th {
  top: 0;
  height: 30px;
  white-space: nowrap;
}
thead tr:last-child th {
  top: 30px;
  border-bottom: 2px solid var(--ink);
  padding: 0 10px 6px;
  font-size: 13px;
  font-weight: 400;
  white-space: nowrap;
}
thead .alias {
  left: 0;
  z-index: 3;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 6px;
  min-width: 120px;
}
.of {
  border-left: 1px solid var(--hair);
}
.on-paper {
  display: none;
}
@media print {
  .frame {
    overflow: visible;
    max-height: none;
    border: 0;
  }
  .on-paper {
    display: block;
    font-size: 12px;
  }
}
</style>
