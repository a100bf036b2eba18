<script setup lang="ts">
import { defaultRangeExtractor, useWindowVirtualizer, type Range } from '@tanstack/vue-virtual'
import { useResizeObserver } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch, type VNode } from 'vue'
import { useI18n } from 'vue-i18n'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import AddLine from './AddLine.vue'
import OrderRow from './OrderRow.vue'
import { onRowKey } from '../cursor/useShortcuts.ts'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import { usePanel } from '../panel/usePanel.ts'
import { useDrops } from './useOrderDrag.ts'

/** `edit` by key: the panel takes the focus; `pick` by mouse: it only shows. */
const emit = defineEmits<{ edit: []; pick: [] }>()
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const panel = usePanel()
const edits = useEdits()
const grid = useTemplateRef('grid')
const body = useTemplateRef('body')

const columns = computed(() => `34px minmax(170px, 1.1fr) repeat(${session.document.groups.length}, minmax(84px, 1fr))`)
/** Without a cursor the first row can be reached with Tab. */
const place = computed(() => cursor.selection ?? { row: cursor.rows[0]?.id ?? '', cell: -1 })
const indexOf = (rowId: string | undefined) => cursor.rows.findIndex((r) => r.id === rowId)

// Only visible rows are rendered; the cursor's and a dragged one stay, so neither is lost.
const dragging = useDrops((dragged, on, edge) => edits.drop(dragged, on, edge))
/** How far down the page the rows start; measured again when anything on the page changes its height. */
const scrollMargin = ref(0)
useResizeObserver(document.body, () => {
  if (body.value) scrollMargin.value = Math.round(body.value.getBoundingClientRect().top + scrollY)
})
const virtualizer = useWindowVirtualizer(
  computed(() => ({
    count: cursor.rows.length,
    estimateSize: (i: number) => (cursor.rows[i]?.kind === 'station' ? 47 : 41),
    getItemKey: (i: number) => cursor.rows[i]?.id ?? i,
    overscan: 6,
    scrollMargin: scrollMargin.value,
    rangeExtractor: (range: Range) => {
      const dragged = dragging.value?.kind === 'rows' ? dragging.value.rows[0]?.id : undefined
      const kept = [place.value.row, cursor.adding, dragged].map(indexOf).filter((i) => i >= 0)
      return [...new Set([...defaultRangeExtractor(range), ...kept])].sort((a, b) => a - b)
    },
  })),
)
const items = computed(() =>
  virtualizer.value.getVirtualItems().flatMap((item) => {
    const row = cursor.rows[item.index]
    return row ? [{ ...item, row, y: item.start - virtualizer.value.options.scrollMargin }] : []
  }),
)
/** Where the line for new exercises is: in the space its row leaves for it. */
const lineHeight = 48
const lineTop = computed<number>((before) => {
  const item = items.value.find((i) => i.row.id === cursor.adding)
  // A new row is not measured for a moment; the line waits where it is.
  return item ? item.y + item.size - lineHeight : (before ?? 0)
})
/** Measured when first rendered; after that it is observed, so an edit measures nothing. */
const onDrawn = ({ el }: VNode) => virtualizer.value.measureElement(el as Element)

/** The group whose column the cursor remembers on its way up and down, through rows where groups share a cell. */
let column = ''
watch(
  () => cursor.selection,
  (now) => {
    const span = cursor.rows.find((r) => r.id === now?.row)?.spans[now?.cell ?? -1]
    if (span && !span.groupIds.includes(column)) column = span.groupIds[0]!
  },
  { flush: 'sync' },
)

function onKeydown(event: KeyboardEvent) {
  if (!cursor.selection) cursor.select(place.value)
  if (onRowKey(event, () => emit('edit'))) {
    void nextTick(focusCursor)
    return
  }
  if (event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return
  const at = indexOf(place.value.row)
  const row = cursor.rows[at]
  if (!row) return
  const to = (index: number) => {
    const target = cursor.rows[Math.max(0, Math.min(cursor.rows.length - 1, index))]!
    const cell = place.value.cell < 0 ? -1 : target.spans.findIndex((s) => s.groupIds.includes(column))
    cursor.select({ row: target.id, cell })
  }
  const across = (cell: number) => {
    cursor.select({ row: row.id, cell: Math.max(-1, Math.min(row.spans.length - 1, cell)) })
  }
  const moves: Record<string, () => void> = {
    ArrowUp: () => to(at - 1),
    ArrowDown: () => to(at + 1),
    ArrowLeft: () => across(place.value.cell - 1),
    ArrowRight: () => across(place.value.cell + 1),
    Home: () => to(0),
    End: () => to(cursor.rows.length - 1),
    PageUp: () => to(at - 10),
    PageDown: () => to(at + 10),
  }
  const move = moves[event.key]
  if (!move) return
  event.preventDefault()
  move()
  void nextTick(focusCursor)
}

/** The space below an open line for its suggestions. */
const roomBelow = 300

/** The row of groups sticks to the top of the page; nothing may be hidden under it. */
const headHeight = 44

/** The cursor's element, once it is rendered. */
const cursorElement = () => body.value?.querySelector<HTMLElement>('[tabindex="0"]')

/** Does something with the cursor's element; a distant one is scrolled to and rendered first. */
function withCursor(action: (element: HTMLElement) => void, tries = 6): void {
  const element = cursorElement()
  if (element) return action(element)
  const at = indexOf(place.value.row)
  if (at < 0 || tries === 0) return
  virtualizer.value.scrollToIndex(at, { align: 'center' })
  requestAnimationFrame(() => withCursor(action, tries - 1))
}
const showCursor = () => withCursor(reveal)
function reveal(element: HTMLElement) {
  const box = (element.closest('[role=row]') ?? element).getBoundingClientRect()
  const wanted = panel.covers + (cursor.adding || cursor.editing ? roomBelow : 8)
  const room = Math.min(wanted, innerHeight - headHeight - box.height)
  if (box.top < headHeight) scrollBy({ top: box.top - headHeight })
  else if (box.bottom > innerHeight - room) scrollBy({ top: box.bottom - innerHeight + room })
}
/** Moves the browser's focus to the cursor, if the focus is in the running order. */
function focusCursor() {
  if (cursor.editing || cursor.adding) return
  const mine = grid.value?.contains(document.activeElement) || document.activeElement === document.body
  withCursor((element) => {
    if (mine) element.focus({ preventScroll: true })
    reveal(element)
  })
}
watch(
  () => cursor.selection,
  () => void nextTick(showCursor),
)
watch(
  () => panel.covers,
  () => void nextTick(() => cursor.selection && showCursor()),
)
watch(
  () => cursor.editing,
  () => void nextTick(showCursor),
)
watch(
  () => cursor.adding,
  (open, before) => {
    void nextTick(before && !open ? focus : showCursor)
  },
)

/** An edit in place is done: the cursor stays or goes to the next cell, which opens. */
function onEdited(next: -1 | 0 | 1) {
  const was = cursor.editing
  cursor.changeInPlace(undefined)
  if (!was) return
  const row = cursor.rows.find((r) => r.id === was.row)
  const cell = was.cell + next
  if (next !== 0 && row && cell >= 0 && cell < row.spans.length) {
    cursor.select({ row: was.row, cell })
    cursor.changeInPlace({ row: was.row, cell })
  } else {
    cursor.select({ row: was.row, cell: Math.min(was.cell, (row?.spans.length ?? 0) - 1) })
    void nextTick(focus)
  }
}
function focus() {
  withCursor((element) => element.focus({ preventScroll: true }))
}
defineExpose({ focus })
</script>

<template>
  <div class="around">
    <div
      ref="grid"
      class="order card"
      role="grid"
      tabindex="-1"
      aria-multiselectable="true"
      :aria-label="t('order.label')"
      :aria-rowcount="cursor.rows.length + 1"
      :style="{ '--columns': columns, '--groups': session.document.groups.length }"
      @keydown="onKeydown"
    >
      <div class="head" role="row" aria-rowindex="1">
        <span class="gutter" role="columnheader"><span class="out-of-sight">{{ t('order.number') }}</span></span>
        <b role="columnheader">{{ t('order.label') }}</b>
        <span
          v-for="group in session.document.groups"
          :key="group.id"
          role="columnheader"
          :class="{ only: cursor.only.includes(group.id) }"
          ><LaneKey :letter="group.letter" :name="group.name"
        /></span>
      </div>
      <div ref="body" class="body" role="rowgroup" :style="{ height: `${virtualizer.getTotalSize()}px` }">
        <div
          v-for="item in items"
          :key="item.row.id"
          class="slot"
          :class="{ raised: cursor.editing?.row === item.row.id, 'with-line': cursor.adding === item.row.id }"
          role="presentation"
          :data-index="item.index"
          @vue:mounted="onDrawn"
          :style="{ top: `${item.y}px` }"
        >
          <OrderRow :row="item.row" :at="place" :index="item.index" @pick="emit('pick')" @edited="onEdited" />
        </div>
      </div>
    </div>
    <p v-if="cursor.only.length" class="chosen" role="status">
      {{ t('scope.chosen', { letters: cursor.onlyLetters }) }}
      <button type="button" class="link" @click="cursor.chooseScope([])">{{ t('scope.everybody') }}</button>
    </p>
    <!-- One line that follows the cursor and keeps the focus from one exercise to the next. -->
    <div v-if="cursor.adding" class="line" :style="{ top: `${(body?.offsetTop ?? 0) + lineTop}px` }"><AddLine /></div>
  </div>
</template>

<style scoped>
.around {
  position: relative;
}
.order {
  container: order / inline-size;
}
.head {
  position: sticky;
  top: 0;
  z-index: 7;
  display: grid;
  grid-template-columns: var(--columns);
  min-height: 36px;
  align-items: center;
  border-radius: var(--corner) var(--corner) 0 0;
  background: color-mix(in srgb, var(--band) 60%, var(--card));
  font-size: 14px;
}
.head > * {
  padding: 0 10px;
}
.gutter {
  padding: 0;
}
.head > .only {
  align-self: stretch;
  align-content: center;
  box-shadow: inset 0 -3px 0 var(--action);
}
/* Over the lower edge of the window, so that it is seen on every row and moves none. */
.chosen {
  position: sticky;
  bottom: 8px;
  z-index: 6;
  width: fit-content;
  margin: 8px auto 0;
  padding: 6px 14px;
  border: 1px solid var(--action);
  border-radius: var(--corner);
  background: var(--card);
}
.body {
  position: relative;
}
.slot {
  /* A layout change in one row leaves the others alone. */
  contain: layout style;
  position: absolute;
  left: 0;
  right: 0;
}
.slot.raised {
  z-index: 6;
}
.slot.with-line {
  padding-bottom: 48px;
}
.line {
  position: absolute;
  left: 1px;
  right: 1px;
  z-index: 6;
}
@media (max-width: 900px) {
  /* The panel lies over the lower edge there, and says it too. */
  .chosen {
    position: static;
  }
}
@container order (max-width: 640px) {
  .head {
    grid-template-columns: 34px repeat(var(--groups), minmax(0, 1fr));
  }
  .head > b {
    display: none;
  }
}
</style>
