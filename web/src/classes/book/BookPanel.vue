<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { DateTime } from 'luxon'
import { mdiRedoVariant, mdiUndoVariant } from '@mdi/js'
import { computed, onBeforeUnmount, shallowRef, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Pupil, type SchoolClass } from '@esfuerzo/contract'
import { per30 } from '@esfuerzo/core/classBook'
import { client } from '../../shared/client.ts'
import { useTried } from '../useTried.ts'
import BookGrid from './BookGrid.vue'
import LooseRuns from './LooseRuns.vue'
import OpenCells from './OpenCells.vue'
import { columnLine } from './columnText.ts'
import type { CellPlace } from './selection.ts'
import type { TypedCell } from './typedCell.ts'
import { useBook } from './useBook.ts'

/** A class's results of one session: the grid, values to check, results without a code. */
const props = defineProps<{ of: SchoolClass; pupils: readonly Pupil[]; publication: string; title: string }>()
const { t, locale } = useI18n()
const book = useBook(props.of.id, props.publication, () => `${props.of.name} · ${props.title}`)
void book.load()
onBeforeUnmount(book.stop)
// What another tab or a home wrote meanwhile is loaded on return.
useEventListener(window, 'focus', () => void book.load())
const grid = useTemplateRef('grid')
const onGo = ({ pupil, column }: TypedCell) => grid.value?.goTo(pupil, column)

const active = shallowRef<CellPlace>({ row: 0, column: 0 })
const when = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toFormat('d LLL yyyy, HH:mm')
/** The active cell in one line: what it is, how it compares, who wrote it and when, the child's earlier values. */
const about = computed(() => {
  const pupil = props.pupils[active.value.row]
  const column = book.columns.value[active.value.column]
  if (!pupil || !column) return ''
  const cell = book.cellOf(pupil.id, column.key)
  const head = `${pupil.alias} · ${columnLine(column, t)}`
  if (!cell || cell.entry.value === null) return `${head} · ${t('book.missing')}`
  const { entry, before } = cell
  const rate = per30(entry.value!, { unit: column.unit, seconds: entry.seconds })
  const own = before.flatMap((e) => (e.value === null ? [] : [e.value]))
  return [
    head,
    entry.value,
    ...(rate === undefined ? [] : [t('book.per30Long', { n: rate })]),
    t(`book.fromAt.${entry.source}`, { when: when(entry.at) }),
    ...(entry.clean === 'no' ? [t('book.notClean')] : []),
    ...(own.length ? [t('book.before', { list: own.join(', ') })] : []),
  ].join(' · ')
})
/** The run that the active cell comes from: it may have been sent with a sibling's code. */
const run = computed(() => {
  const pupil = props.pupils[active.value.row]
  const column = book.columns.value[active.value.column]
  return pupil && column && !book.typedOf(pupil.id, column.key)
    ? book.cellOf(pupil.id, column.key)?.entry.run
    : undefined
})
const { problem: moving, tried } = useTried()
async function onMove(pupil: string | null) {
  const params = { id: props.publication, run: run.value! }
  if (await tried(() => client('moveRun', { params, body: { pupil } }))) await book.load()
}
defineExpose({ book })
</script>

<template>
  <div class="book">
    <p v-if="book.problem.value" class="care" role="alert">
      {{ t(`errors.${book.problem.value}`) }} <v-btn @click="book.load()">{{ t('tryAgain') }}</v-btn>
    </p>
    <p v-if="book.loading.value" class="quiet">{{ t('loading') }}</p>
    <p v-else-if="!pupils.length" class="card empty">{{ t('book.noPupils') }} <slot name="pupils" /></p>
    <p v-else-if="!book.columns.value.length && !book.problem.value" class="card empty">{{ t('book.noColumns') }}</p>
    <template v-else-if="book.columns.value.length">
      <div class="bar no-paper">
        <p class="about" data-testid="about">{{ about }}</p>
        <v-menu v-if="run" max-height="420">
          <template #activator="{ props: menu }"
            ><v-btn class="plain" size="small" v-bind="menu">{{ t('book.notTheirs') }}</v-btn></template
          >
          <v-list density="compact">
            <v-list-item :title="t('book.nobodys')" @click="onMove(null)" />
            <v-list-item
              v-for="other in pupils.filter((p) => p !== pupils[active.row])"
              :key="other.id"
              :title="t('book.giveTo', { alias: other.alias })"
              @click="onMove(other.id)"
            />
          </v-list>
        </v-menu>
        <span role="status" class="quiet state">{{ t(`book.save.${book.state.value}`) }}</span>
        <v-btn
          class="plain"
          :icon="mdiUndoVariant"
          :aria-label="t('undo')"
          :disabled="!book.canUndo.value"
          @click="book.undo()"
        />
        <v-btn
          class="plain"
          :icon="mdiRedoVariant"
          :aria-label="t('redo')"
          :disabled="!book.canRedo.value"
          @click="book.redo()"
        />
        <slot name="tools" :book="book" />
      </div>
      <BookGrid ref="grid" :book="book" :pupils="pupils" @active="active = $event" />
      <p class="quiet legend no-paper">
        <span class="mark run" /> {{ t('book.from.run') }} <span class="mark" /> {{ t('book.from.typed') }}
        <span class="mark imported" /> {{ t('book.from.imported') }} · {{ t('book.small') }} · {{ t('book.keys') }}
      </p>
      <p v-if="moving" class="care" role="alert">{{ moving }}</p>
      <OpenCells :book="book" :pupils="pupils" @go="onGo" />
      <LooseRuns :runs="book.loose.value" :pupils="pupils" @moved="book.load()" />
    </template>
  </div>
</template>

<style scoped>
.book {
  display: grid;
  gap: 10px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  min-height: 40px;
}
.about {
  flex: 1 1 280px;
  min-width: 0;
  margin: 0;
  font-variant-numeric: tabular-nums;
}
.state {
  max-width: 280px;
}
.legend {
  margin: 0;
  font-size: 13px;
}
.mark {
  display: inline-block;
  width: 7px;
  height: 7px;
  margin: 0 2px 1px 6px;
  border: 1.5px solid var(--far);
  border-radius: 50%;
}
.mark.run {
  margin-left: 0;
  background: var(--far);
}
.mark.imported {
  border-radius: 0;
}
.empty {
  padding: 16px;
}
</style>
