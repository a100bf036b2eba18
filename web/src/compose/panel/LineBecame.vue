<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText } from '@esfuerzo/core'
import type { Question } from '@esfuerzo/core/notation'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import type { LineEntry } from './lineEntries.ts'

/** How a line was read: its figures, its amount, its length; or its question. */
const props = defineProps<{ entry: LineEntry }>()
const emit = defineEmits<{ ask: [question: Question] }>()
const { t } = useI18n()

/** Up to this number of exercises in a line, figures are shown. */
const most = 3
const seconds = computed(() => {
  const span = props.entry.seconds
  if (!span) return ''
  return span.from === span.to ? minutesText(span.to) : `${minutesText(span.from)}–${minutesText(span.to)}`
})
const full = computed(() =>
  [t('text.line', { n: props.entry.line }), ...props.entry.words.filter(Boolean), seconds.value].join(', '),
)
</script>

<template>
  <div class="became" :class="entry.part" :title="full">
    <span class="out-of-sight">{{ full }}</span>
    <button
      v-for="question in entry.questions"
      :key="question.column"
      type="button"
      class="chip"
      :aria-label="t('text.ask', { n: entry.line, words: question.received })"
      @click="emit('ask', question)"
    >
      {{ t('text.chip', { words: question.received }) }}
    </button>
    <template v-if="!entry.questions.length">
      <MoveFigure v-for="(figure, i) in entry.figures.slice(0, most)" :key="i" :figure="figure" :size="24" />
      <small v-if="entry.figures.length > most" class="quiet" aria-hidden="true"
        >+{{ entry.figures.length - most }}</small
      >
      <small v-if="entry.form" class="form quiet" aria-hidden="true">{{ t(`forms.${entry.form}.name`) }}</small>
    </template>
    <span v-if="seconds" class="seconds num" aria-hidden="true">{{ seconds }}</span>
  </div>
</template>

<style scoped>
.became {
  flex: 1;
  min-width: 0;
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 0 10px 0 8px;
  font-size: 14px;
  line-height: 1;
}
.seconds {
  margin-left: auto;
  white-space: nowrap;
}
.section .seconds {
  font-weight: 700;
}
.form {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.chip {
  min-width: 0;
  max-width: 100%;
  min-height: 24px;
  padding: 0 9px;
  border: 1px solid var(--care);
  border-radius: 12px;
  background: var(--care-soft);
  color: var(--ink);
  font: 14px/1 var(--text);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
.chip:hover,
.chip:focus-visible {
  background: var(--card);
}
</style>
