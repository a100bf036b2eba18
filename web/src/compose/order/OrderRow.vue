<script setup lang="ts">
import { mdiBellOutline, mdiChevronDown, mdiChevronRight, mdiDragVertical, mdiNoteTextOutline } from '@mdi/js'
import { computed, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Language } from '@esfuerzo/core'
import { findingText, type Finding } from '@esfuerzo/core/checks'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import LaneOutline from '../../shared/lanes/LaneOutline.vue'
import { library } from '../../repertoire/library.ts'
import { useChecks } from '../checks/useChecks.ts'
import InPlaceField from './InPlaceField.vue'
import { roleIcons } from '../panel/roleIcons.ts'
import RowAsk from '../tools/RowAsk.vue'
import StairLevel from '../panel/StairLevel.vue'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import { rowMarks } from './rowMarks.ts'
import type { Row, RowSpan } from './rows.ts'
import { useDraggable, useDropRow } from './useOrderDrag.ts'
import type { Selection } from '../cursor/useSelection.ts'

const props = defineProps<{ row: Row; at: Selection; index: number }>()
const emit = defineEmits<{ pick: []; edited: [next: -1 | 0 | 1] }>()
const { t, locale } = useI18n()
const session = useSession()
const cursor = useCursor()
const edits = useEdits()
const root = useTemplateRef('root')
const handle = useTemplateRef('handle')

const selected = computed(() => cursor.isSelected(props.row.id))
const title = computed(() => edits.nameOf(props.row))
const note = computed(() => {
  const { row } = props
  const notes = row.kind === 'section' ? [row.section.note, row.block?.note] : [row.kind === 'block' && row.block.note]
  return notes.filter(Boolean).join(' · ')
})
const checks = useChecks()
const textOf = (finding: Finding) => findingText(finding, locale.value as Language).what
/** Marks about a block appear at the row that shows it, which may be its section's. */
const found = computed(() => {
  const { row } = props
  const ids = row.kind === 'section' && row.block ? [row.id, row.block.id] : [row.id]
  return ids.flatMap((id) => checks.rows.get(id) ?? [])
})
const marks = computed(() => rowMarks(props.row, session.document, library, t, found.value, textOf))
/** The buttons in a block row's name cell are not part of its name. */
const label = computed(() =>
  props.row.kind === 'section' || props.row.kind === 'block'
    ? [title.value, ...marks.value.map((mark) => mark.text), ...(note.value ? [note.value] : [])].join(', ')
    : undefined,
)
const figure = computed(() => (props.row.kind === 'station' ? library.figures.get(props.row.figure) : undefined))
const isCursor = computed(() => cursor.selection?.row === props.row.id)
const cycle = computed(() => {
  if (props.row.kind !== 'station' || !figure.value || !isCursor.value) return 0
  const { move, version } = props.row.station.cells.all
  return (
    (library.moves.get(move)?.versions.find((v) => v.id === version)?.secondsPerRep ?? 2) * (figure.value.reps ?? 1)
  )
})
/** Where a span is among the groups: its first column, from 0, and its length. */
const place = (span: RowSpan) => ({
  '--from': session.document.groups.findIndex((g) => g.id === span.groupIds[0]),
  '--span': span.groupIds.length,
})
const tabindex = (cell: number) => (props.at.row === props.row.id && props.at.cell === cell ? 0 : -1)
const isTaken = (cell: number) => {
  const { selection, cellsTo } = cursor
  if (selection?.row !== props.row.id || cellsTo === undefined) return false
  return cell >= Math.min(selection.cell, cellsTo) && cell <= Math.max(selection.cell, cellsTo)
}
const isEditing = (cell: number) => cursor.editing?.row === props.row.id && cursor.editing.cell === cell

function onFocus(cell: number) {
  if (tabindex(cell) !== 0 || !cursor.selection) cursor.select({ row: props.row.id, cell })
}
/** Selecting more rows neither moves the focus first nor selects text. */
function onMousedown(event: MouseEvent) {
  if (event.shiftKey || event.ctrlKey || event.metaKey) event.preventDefault()
}
function onClick(cell: number, event: MouseEvent) {
  if (event.shiftKey) cursor.extendTo(props.row.id)
  else if (event.ctrlKey || event.metaKey) cursor.toggle(props.row.id)
  else cursor.select({ row: props.row.id, cell })
  emit('pick')
}
function onDouble(cell: number) {
  cursor.select({ row: props.row.id, cell })
  cursor.changeInPlace({ row: props.row.id, cell })
}

useDraggable(handle, () => {
  // A row outside the selection is dragged alone.
  if (!cursor.isSelected(props.row.id)) cursor.select({ row: props.row.id, cell: -1 })
  return { kind: 'rows', rows: cursor.selectedRows.filter((r) => r.kind !== 'empty') }
})
const edge = useDropRow(root, () => props.row)
</script>

<template>
  <div
    ref="root"
    class="row"
    :class="[row.kind, edge && `drop-${edge}`, { selected }]"
    role="row"
    :aria-rowindex="index + 2"
    :aria-selected="selected"
    @mousedown="onMousedown"
  >
    <span v-if="row.kind === 'empty'" role="gridcell" class="empty-text" :tabindex="tabindex(-1)" @focus="onFocus(-1)">
      {{ t(row.block ? 'order.empty' : 'order.noBlock') }}
    </span>
    <template v-else>
      <span ref="handle" class="n" role="gridcell" :title="t('order.drag')">
        <button
          v-if="row.kind === 'section'"
          type="button"
          class="fold"
          tabindex="-1"
          :aria-expanded="!cursor.folded.has(row.id)"
          :aria-label="t('order.fold', { title })"
          @click="cursor.toggleFold(row.id)"
        >
          <v-icon :icon="cursor.folded.has(row.id) ? mdiChevronRight : mdiChevronDown" size="20" />
        </button>
        <span v-else class="number">{{ row.kind === 'station' ? row.n : '' }}</span>
        <v-icon :icon="mdiDragVertical" size="18" class="grip" />
      </span>
      <div
        class="name"
        role="gridcell"
        :aria-label="label"
        :tabindex="tabindex(-1)"
        @focus="onFocus(-1)"
        @click="onClick(-1, $event)"
        @dblclick="onDouble(-1)"
      >
        <MoveFigure v-if="figure" :figure="figure" :size="40" :cycle="cycle" />
        <v-icon v-if="row.kind === 'section'" :icon="roleIcons[row.section.role]" size="17" class="quiet" />
        <InPlaceField v-if="isEditing(-1)" :row="row" :cell="-1" @done="emit('edited', $event)" />
        <template v-else>
          <component :is="row.kind === 'section' ? 'h2' : 'span'" class="title">{{ title }}</component>
          <v-icon
            v-if="row.kind === 'station' && row.station.record"
            :icon="mdiBellOutline"
            size="14"
            class="quiet"
            :aria-label="t('station.recorded')"
          />
          <template v-for="mark in marks" :key="mark.text">
            <span v-if="row.kind === 'section' && !mark.said" class="mark" :title="mark.text"
              ><v-icon :icon="mark.icon" size="14" /><span class="mark-words">{{ mark.text }}</span></span
            >
            <v-icon v-else :icon="mark.icon" size="16" class="care" :title="mark.text" :aria-label="mark.text" />
          </template>
          <v-icon v-if="note" :icon="mdiNoteTextOutline" size="15" class="quiet" :title="note" :aria-label="note" />
          <small v-if="row.kind === 'station' && row.station.focus" class="focus quiet">{{ row.station.focus }}</small>
          <RowAsk
            v-if="row.kind !== 'station' && row.block"
            :block="row.block"
            :role="row.section.role"
            :brief="title.length > 14"
          />
        </template>
      </div>
      <div
        v-for="(span, i) in row.spans"
        :key="i"
        class="cell"
        :class="{ taken: isTaken(i), editing: isEditing(i) }"
        role="gridcell"
        :style="place(span)"
        :tabindex="tabindex(i)"
        @focus="onFocus(i)"
        @click="onClick(i, $event)"
        @dblclick="onDouble(i)"
      >
        <LaneOutline v-if="span.own" :letter="span.own" />
        <InPlaceField
          v-if="isEditing(i)"
          :row="row"
          :cell="i"
          :typed="cursor.editing?.typed"
          @done="emit('edited', $event)"
        />
        <template v-else>
          <span class="what"><StairLevel v-if="span.level" v-bind="span.level" />{{ span.text }}</span>
          <b class="num">{{ span.dose }}</b>
        </template>
      </div>
    </template>
  </div>
</template>

<style scoped>
.row {
  position: relative;
  display: grid;
  grid-template-columns: var(--columns);
  min-height: 46px;
  border-top: 1px solid var(--hair);
}
.section,
.block {
  min-height: 40px;
  background: var(--band);
}
.block {
  background: color-mix(in srgb, var(--band) 50%, var(--card));
}
.row.selected .name,
.row.selected .n,
.row.selected .empty-text {
  background: var(--action-soft);
}
.drop-top::before,
.drop-bottom::after {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  z-index: 4;
  height: 4px;
  background: var(--action);
  pointer-events: none;
}
.drop-top::before {
  top: -2px;
}
.drop-bottom::after {
  bottom: -2px;
}
.fold {
  width: 34px;
  height: 40px;
  border: 0;
  padding: 0;
  background: none;
  color: var(--quiet);
  cursor: pointer;
}
.n {
  position: relative;
  display: grid;
  place-items: center;
  color: var(--quiet);
  font-size: 14px;
  cursor: grab;
}
.grip {
  position: absolute;
  opacity: 0;
  pointer-events: none;
}
.row:not(.section):hover .number {
  opacity: 0;
}
.row:not(.section):hover .grip {
  opacity: 1;
}
.name {
  container: name / inline-size;
  position: relative;
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 2px 8px;
  min-width: 0;
  cursor: default;
}
.title {
  font-size: 15px;
}
/* Marks are shortened before a title is. */
h2.title {
  flex: none;
  max-width: calc(100% - 64px);
  font-size: 16px;
}
.focus {
  font-size: 12px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.mark {
  display: inline-flex;
  flex: none;
  gap: 3px;
  align-items: center;
  font-size: 13px;
  color: var(--quiet);
}
.cell {
  position: relative;
  grid-column: calc(var(--from) + 3) / span var(--span);
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 4px 10px;
  border-left: 1px solid var(--hair);
  font-size: 14px;
  min-width: 0;
  cursor: default;
}
.cell.taken {
  background: var(--action-soft);
}
.cell.editing {
  padding: 4px;
  z-index: 5;
}
.cell:focus-visible,
.name:focus-visible {
  outline-offset: -3px;
  z-index: 2;
}
.what {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
  min-width: 0;
}
.num {
  text-align: right;
  white-space: nowrap;
}
.empty {
  grid-template-columns: 34px 1fr;
  min-height: 44px;
  align-items: center;
  color: var(--quiet);
}
.empty-text {
  grid-column: 2;
  padding: 4px 8px;
}
/* If there is little room, a symbol replaces the words, which appear on hover. */
@container name (max-width: 240px) {
  .mark-words {
    display: none;
  }
}
@container order (max-width: 640px) {
  .row:not(.empty) {
    grid-template-columns: 34px repeat(var(--groups), minmax(0, 1fr));
  }
  .name {
    grid-column: 2 / -1;
    min-height: 40px;
  }
  .cell {
    grid-row: 2;
    grid-column: calc(var(--from) + 2) / span var(--span);
    flex-wrap: wrap;
  }
}
</style>
