<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { cleanText, setBlock, type BlockOf, type Question, type Scope } from '@esfuerzo/core'
import { proposeQuiz } from '@esfuerzo/core/choose'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../../compose/session/useSession.ts'
import { useEdits } from '../../compose/edits/useEdits.ts'

/** Questions with their answers, the right one marked; or proposed from the session itself. */
const props = defineProps<{ block: BlockOf<'quiz'>; scope: Scope }>()
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const set = (questions: Question[], what: string) =>
  edits.edit((w) => setBlock(w, props.block.id, 'quiz', (b) => ({ ...b, questions })), `${what}:${props.block.id}`)
const change = (i: number, fields: Partial<Question>, what: string) =>
  set(
    props.block.questions.map((q, k) => (k === i ? { ...q, ...fields } : q)),
    `${what}-${i}`,
  )
/** A question and its answers are never empty: a cleared field keeps its last letter until something is typed. */
const line = (typed: string, before: string) => cleanText(typed, 'line') || before.slice(0, 1) || '?'
const onAnswer = (i: number, k: number, typed: string) => {
  const { answers } = props.block.questions[i]!
  change(i, { answers: answers.map((a, j) => (j === k ? line(typed, a) : a)) }, `answer-${k}`)
}
const onAdd = () =>
  set(
    [
      ...props.block.questions,
      { ask: t('quiz.newQuestion'), answers: [t('quiz.yes'), t('quiz.no')], right: 0, why: '' },
    ],
    'add',
  )
const quizWords = {
  meaning: (word: string) => t('quiz.meaning', { word }),
  worked: (muscle: string) => t('quiz.worked', { muscle }),
  helps: (move: string) => t('quiz.helps', { move }),
  otherMeanings: [t('quiz.otherMeaning.game'), t('quiz.otherMeaning.loud')],
}
const proposed = computed(() => proposeQuiz(session.document, library, quizWords))
</script>

<template>
  <fieldset v-for="(q, i) in block.questions" :key="i">
    <legend>{{ t('quiz.question', { n: i + 1 }) }}</legend>
    <v-text-field
      :model-value="q.ask"
      :label="t('quiz.ask')"
      maxlength="120"
      @update:model-value="change(i, { ask: line($event, q.ask) }, 'ask')"
    />
    <label v-for="(answer, k) in q.answers" :key="k" class="answer">
      <input
        type="radio"
        :name="`right-${block.id}-${i}`"
        :checked="q.right === k"
        :aria-label="t('quiz.right', { n: k + 1 })"
        @change="change(i, { right: k }, 'right')"
      />
      <v-text-field
        :model-value="answer"
        :label="t('quiz.answer', { n: k + 1 })"
        maxlength="120"
        @update:model-value="onAnswer(i, k, $event)"
      />
    </label>
    <v-text-field
      :model-value="q.why"
      :label="t('quiz.why')"
      maxlength="120"
      @update:model-value="change(i, { why: cleanText($event, 'line') }, 'why')"
    />
    <div class="tools">
      <v-btn v-if="q.answers.length < 4" @click="change(i, { answers: [...q.answers, t('quiz.another')] }, 'more')">{{
        t('quiz.addAnswer')
      }}</v-btn>
      <v-btn
        class="plain"
        :aria-label="t('quiz.removeLabel', { n: i + 1 })"
        @click="
          set(
            block.questions.filter((_, k) => k !== i),
            'remove',
          )
        "
        >{{ t('details.removeGroup') }}</v-btn
      >
    </div>
  </fieldset>
  <v-btn v-if="block.questions.length < 8" @click="onAdd">{{ t('quiz.add') }}</v-btn>
  <v-btn v-if="proposed.length" @click="set(proposed, 'propose')">{{
    t('quiz.propose', { n: proposed.length })
  }}</v-btn>
</template>

<style scoped>
fieldset {
  border: 0;
  border-top: 1px solid var(--line);
  padding: 10px 0 0;
  margin: 0;
  display: grid;
  gap: 10px;
}
legend {
  font-weight: 700;
  padding: 0 8px 0 0;
}
.answer {
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 8px;
  align-items: center;
}
.tools {
  display: flex;
  gap: 8px;
}
</style>
