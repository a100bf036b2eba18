<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Answer, Question } from '@esfuerzo/core/notation'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { library } from '../repertoire/library.ts'

/** What a text leaves open, the first of it with its answers. A tap answers; the words are known from then on. */
const props = defineProps<{
  questions: readonly Question[]
  /** What the session would last with an answer, where that is worth saying. */
  lasting?: (question: Question, answer: Answer) => string
}>()
const emit = defineEmits<{ answer: [question: Question, answer: Answer]; show: [question: Question] }>()
const { t } = useI18n()

const first = computed(() => props.questions[0])
const later = computed(() => [...new Set(props.questions.slice(1).map((q) => q.received))].slice(0, 8))
/** How long it lasts is said where the answers differ in it. */
const differ = computed(() => new Set(answers.value.map((a) => a.seconds)).size > 1)
const answers = computed(() =>
  (first.value?.answers ?? []).map((answer) => {
    const move = answer.as === 'move' ? library.moves.get(answer.move) : undefined
    const version = move?.versions.find((v) => answer.as === 'move' && v.id === answer.version)
    return {
      answer,
      label: answer.as === 'move' ? (version?.name ?? move?.name ?? answer.move) : t(`ask.${answer.as}`),
      figure: move && library.figures.get(version?.figure ?? move.figure),
      seconds: props.lasting?.(first.value!, answer),
    }
  }),
)
</script>

<template>
  <section v-if="first" class="ask" aria-live="polite">
    <p>
      <button type="button" class="where" @click="emit('show', first)">
        {{ t('ask.line', { line: first.line }) }}
      </button>
      {{ t('ask.what', { words: first.received }) }}
    </p>
    <div class="answers" role="group" :aria-label="t('ask.what', { words: first.received })">
      <button
        v-for="{ answer, label, figure, seconds } in answers"
        :key="label"
        type="button"
        class="answer"
        @click="emit('answer', first, answer)"
      >
        <MoveFigure v-if="figure" :figure="figure" :size="36" />
        <span>{{ label }}&nbsp;</span>
        <small v-if="differ" class="quiet num">{{ seconds }}</small>
      </button>
    </div>
    <p v-if="later.length" class="quiet later">{{ t('ask.later', { words: later.join(' · ') }) }}</p>
  </section>
</template>

<style scoped>
.ask {
  border: 1px solid var(--line);
  border-left: 4px solid var(--care);
  border-radius: var(--corner);
  background: var(--care-soft);
  padding: 10px 12px;
  display: grid;
  gap: 8px;
}
p {
  margin: 0;
  font-size: 15px;
}
.where {
  border: 0;
  padding: 0;
  background: none;
  color: var(--action);
  font: inherit;
  cursor: pointer;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.answer {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 2px 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--ink);
  font: 15px/1.2 var(--text);
  cursor: pointer;
}
.answer:hover,
.answer:focus-visible {
  border-color: var(--action);
}
.later {
  font-size: 13px;
  overflow-wrap: anywhere;
}
</style>
