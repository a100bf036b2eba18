<script setup lang="ts">
import { computed, nextTick, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Answer, Question } from '@esfuerzo/core/notation'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { library } from '../repertoire/library.ts'

/** A text's open questions, the first one with its answers. A tap answers; words are remembered. */
const props = defineProps<{
  questions: readonly Question[]
  /** How long the session would last with an answer, if that is worth saying. */
  lasting?: (question: Question, answer: Answer) => string
}>()
const emit = defineEmits<{ answer: [question: Question, answer: Answer]; show: [question: Question] }>()
const { t, locale } = useI18n()
const buttons = useTemplateRef<HTMLButtonElement[]>('buttons')

const first = computed(() => props.questions[0])
const asked = computed(() => first.value && t(`ask.what.${first.value.kind}`, { words: wordsOf(first.value) }))
const later = computed(() => [...new Set(props.questions.slice(1).map(wordsOf))].slice(0, 8))
/** The length is shown if it differs between the answers. */
const differ = computed(() => new Set(answers.value.map((a) => a.seconds)).size > 1)
const answers = computed(() =>
  (first.value?.answers ?? []).map((answer) => ({
    answer,
    label: labelOf(answer),
    figure: figureOf(answer),
    seconds: props.lasting?.(first.value!, answer),
  })),
)

const wordsOf = ({ kind, received }: Question): string =>
  kind === 'language' ? (new Intl.DisplayNames(locale.value, { type: 'language' }).of(received) ?? received) : received
function moveOf(answer: Answer) {
  const move = answer.as === 'move' ? library.moves.get(answer.move) : undefined
  return { move, version: move?.versions.find((v) => answer.as === 'move' && v.id === answer.version) }
}
function labelOf(answer: Answer): string {
  if (answer.as === 'group') return answer.name
  if (answer.as !== 'move') return t(`ask.${answer.as}`, 'rows' in answer ? { rows: answer.rows } : {})
  const { move, version } = moveOf(answer)
  return version?.name ?? move?.name ?? answer.move
}
function figureOf(answer: Answer) {
  const { move, version } = moveOf(answer)
  return move && library.figures.get(version?.figure ?? move.figure)
}

defineExpose({
  /** Goes to the first answer. */
  async focus() {
    await nextTick()
    buttons.value?.[0]?.focus()
  },
})
</script>

<template>
  <section v-if="first" class="ask" aria-live="polite">
    <p>
      <button type="button" class="where" @click="emit('show', first)">
        {{ t('ask.line', { line: first.line }) }}
      </button>
      {{ asked }}
    </p>
    <div class="answers" role="group" :aria-label="asked">
      <button
        v-for="({ answer, label, figure, seconds }, i) in answers"
        :key="i"
        ref="buttons"
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
