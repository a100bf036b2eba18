<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Pupil } from '@esfuerzo/contract'
import { ownLine, per30, type BookColumn } from '@esfuerzo/core/classBook'
import SmallLine from './SmallLine.vue'
import { columnLine } from './columnText.ts'
import type { TypedCell } from './typedCell.ts'
import type { Book } from './useBook.ts'

/** A pupil's row: results as counted and for thirty seconds, with a small line of its own earlier ones. */
const props = defineProps<{
  book: Book
  pupil: Pupil
  row: number
  /** The active column; none if it is in another row. */
  active: number
  /** The first and the last selected column. */
  selected: readonly [first: number, last: number] | undefined
  editing: string | undefined
}>()
const emit = defineEmits<{ type: [text: string] }>()
const { t } = useI18n()

interface Shown {
  column: BookColumn
  text: string
  source: 'run' | 'typed' | 'imported' | undefined
  per30: number | undefined
  line: number[]
  typed: TypedCell | undefined
  says: string
}
/** What a screen reader hears of a cell: its value, source and question. */
function saysOf({ column, text, source, typed }: Omit<Shown, 'says'>): string {
  return [
    columnLine(column, t),
    text === '' ? t('book.missing') : text,
    source ? t(`book.from.${source}`) : '',
    typed && typed.state !== 'waiting' ? t(`book.state.${typed.state}`) : '',
  ]
    .filter(Boolean)
    .join(', ')
}
const cells = computed(() =>
  props.book.columns.value.map((column): Shown => {
    const { id } = props.pupil
    const cell = props.book.cellOf(id, column.key)
    const typed = props.book.typedOf(id, column.key)
    const stands = cell?.entry.value ?? undefined
    const seconds = typed ? column.seconds : cell?.entry.seconds
    const value = typed ? Number(typed.text.replace(',', '.')) : stands
    const rate =
      value === undefined || typed?.text === '' || Number.isNaN(value)
        ? undefined
        : per30(value, { unit: column.unit, seconds })
    const shown = {
      column,
      text: typed?.text ?? (stands === undefined ? '' : String(stands)),
      source: stands === undefined && !typed ? undefined : (typed?.source ?? cell?.entry.source),
      per30: rate === value ? undefined : rate,
      line: cell ? ownLine(column, cell) : [],
      typed,
    }
    return { ...shown, says: saysOf(shown) }
  }),
)
const isSelected = (i: number) => props.selected !== undefined && i >= props.selected[0] && i <= props.selected[1]
const vFocus = { mounted: (el: HTMLInputElement) => el.focus() }
</script>

<template>
  <tr :aria-rowindex="row + 3">
    <th scope="row">{{ pupil.alias }}</th>
    <td
      v-for="(cell, i) in cells"
      :id="`cell-${row}-${i}`"
      :key="cell.column.key"
      role="gridcell"
      :aria-colindex="i + 2"
      :tabindex="active === i ? 0 : -1"
      :aria-selected="isSelected(i)"
      :aria-label="`${pupil.alias}: ${cell.says}`"
      :class="{ first: cell.column.nth === 1, active: active === i, [cell.typed?.state ?? '']: cell.typed }"
    >
      <input
        v-if="active === i && editing !== undefined"
        v-focus
        :value="editing"
        inputmode="decimal"
        maxlength="12"
        :aria-label="`${pupil.alias}: ${columnLine(cell.column, t)}`"
        @input="emit('type', ($event.target as HTMLInputElement).value)"
      />
      <span v-else class="value">
        <span v-if="cell.source" class="mark" :class="cell.source" aria-hidden="true" />
        <span>{{ cell.text }}</span>
        <small v-if="cell.per30 !== undefined" class="quiet">{{ cell.per30 }}</small>
        <SmallLine v-if="cell.line.length" :values="cell.line" />
      </span>
    </td>
  </tr>
</template>

<style scoped>
th,
td {
  height: 34px;
  border-bottom: 1px solid var(--hair);
  padding: 0 10px;
}
th {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--card);
  font-weight: 400;
  text-align: left;
  white-space: nowrap;
}
td {
  min-width: 74px;
  cursor: cell;
}
td.first {
  border-left: 1px solid var(--hair);
}
td[aria-selected='true'] {
  background: var(--action-soft);
}
td:focus-visible,
td.active:focus-within {
  outline: 3px solid var(--action);
  outline-offset: -3px;
}
.value {
  display: flex;
  align-items: center;
  gap: 6px;
  white-space: nowrap;
}
.value svg {
  margin-left: auto;
}
small {
  font-size: 12px;
}
/* Where a value comes from: a filled mark for a run, an open one for a typed value. */
.mark {
  width: 6px;
  height: 6px;
  border: 1.5px solid var(--far);
  border-radius: 50%;
  print-color-adjust: exact;
}
.mark.run {
  background: var(--far);
}
.mark.imported {
  border-radius: 0;
}
.waiting .value > span:nth-child(2) {
  font-style: italic;
}
.refused,
.asked,
.differs {
  box-shadow: inset 0 -3px 0 var(--care);
}
.refused .value > span:nth-child(2) {
  text-decoration: line-through;
}
input {
  width: 56px;
  border: 0;
  outline: none;
  background: none;
  color: var(--ink);
  font: inherit;
}
</style>
