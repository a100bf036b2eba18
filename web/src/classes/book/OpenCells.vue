<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Pupil } from '@esfuerzo/contract'
import { columnLine } from './columnText.ts'
import type { TypedCell } from './typedCell.ts'
import type { Book } from './useBook.ts'

/** Cells to check: impossible or unlikely values, and those another person wrote meanwhile. Each still shows what was typed. */
const props = defineProps<{ book: Book; pupils: readonly Pupil[] }>()
const emit = defineEmits<{ go: [cell: TypedCell] }>()
const { t } = useI18n()
/** Number of questions shown at a time. */
const most = 4
const open = computed(() => props.book.open.value)
const where = (cell: TypedCell) => {
  const alias = props.pupils.find((p) => p.id === cell.pupil)?.alias ?? ''
  const column = props.book.columns.value.find((c) => c.key === cell.column)
  return [alias, column && columnLine(column, t)].filter(Boolean).join(': ') || t('book.open')
}
function why({ text, problem, unlikely, now, why: refused }: TypedCell): string {
  if (refused) return t(`book.refused.${refused}`, { text })
  if (problem) return t(`book.problem.${problem.code}`, { text, ...problem })
  if (unlikely) return t(`book.unlikely.${unlikely.code}`, { text, ...unlikely })
  return now?.value === null || !now ? t('book.tookAway', { text }) : t('book.wroteElse', { text, now: now.value })
}
</script>

<template>
  <ul v-if="open.length" class="open no-paper" :aria-label="t('book.open')">
    <li v-for="cell in open.slice(0, most)" :key="cell.id">
      <button type="button" class="link where" @click="emit('go', cell)">{{ where(cell) }}</button>
      <span>{{ why(cell) }}</span>
      <v-btn v-if="cell.state === 'asked'" size="small" @click="book.confirm(cell)">{{ t('book.right') }}</v-btn>
      <v-btn v-if="cell.state === 'differs'" size="small" @click="book.confirm(cell)">{{ t('book.takeMine') }}</v-btn>
      <v-menu v-if="cell.why === 'no-pupil'" max-height="420">
        <template #activator="{ props: menu }"
          ><v-btn size="small" v-bind="menu">{{ t('book.giveToAnother') }}</v-btn></template
        >
        <v-list density="compact">
          <v-list-item
            v-for="other in pupils"
            :key="other.id"
            :title="t('book.giveTo', { alias: other.alias })"
            @click="book.give(cell, other.id)"
          />
        </v-list>
      </v-menu>
      <v-btn size="small" class="plain" @click="book.drop(cell)">{{
        t(cell.state === 'differs' ? 'book.takeTheirs' : cell.why ? 'book.discard' : 'book.takeBack')
      }}</v-btn>
    </li>
    <li v-if="open.length > most" class="quiet">{{ t('book.moreOpen', { n: open.length - most }) }}</li>
  </ul>
</template>

<style scoped>
/* Always in view, and nothing moves when it appears. */
.open {
  position: sticky;
  bottom: 8px;
  z-index: 4;
  padding: 8px 14px;
  display: grid;
  gap: 4px;
  background: var(--care-soft);
  border: 1px solid var(--line);
  border-left: 4px solid var(--care);
  border-radius: var(--corner);
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
}
.where {
  white-space: normal;
  text-align: left;
}
</style>
