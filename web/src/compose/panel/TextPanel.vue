<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError, sameValue, type Workout } from '@esfuerzo/core'
import { apply, print, type TextProblem } from '@esfuerzo/core/notation'
import { problemSentence, problemText } from '../../words/i18n.ts'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { useEdits } from '../edits/useEdits.ts'

/**
 * The session as a whiteboard text, both ways live: what is typed changes the running order as soon as every line can be
 * read; what is changed there is written here.
 */
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const field = useTemplateRef('field')
const text = ref(print(session.workout, library))
const problems = shallowRef<readonly TextProblem[]>([])
const refused = ref('')
/** The session as the text last made it; any other came from elsewhere. */
let made: Workout = session.workout

watch(
  () => session.workout,
  (now) => {
    // What cannot be read yet is not thrown away because something else changed.
    if (now !== made && !problems.value.length && !refused.value) fromSession()
  },
)
function fromSession() {
  made = session.workout
  text.value = print(session.workout, library)
  problems.value = []
  refused.value = ''
}
function onInput(event: Event) {
  text.value = (event.target as HTMLTextAreaElement).value
  refused.value = ''
  try {
    const applied = apply(text.value, session.workout, library)
    problems.value = applied.problems
    if (applied.problems.length || sameValue(applied.workout, session.workout)) return
    made = applied.workout
    edits.edit(() => applied.workout, 'text')
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    refused.value = error.problems.map(problemText).join('\n')
  }
}
const lines = computed(() => text.value.split('\n'))
async function goTo(problem: TextProblem) {
  const before = lines.value.slice(0, problem.line - 1).reduce((n, line) => n + line.length + 1, 0)
  const start = before + problem.column - 1
  await nextTick()
  field.value?.focus()
  field.value?.setSelectionRange(start, start + problem.length)
}
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="text-panel">
    <textarea
      ref="field"
      :value="text"
      :aria-label="t('text.label')"
      :aria-invalid="problems.length > 0"
      spellcheck="false"
      autocomplete="off"
      @input="onInput"
    />
    <div v-if="problems.length || refused" class="problems" role="status">
      <p class="care">{{ t('text.notYet', { n: problems.length || 1 }) }}</p>
      <p v-if="refused" class="care">{{ refused }}</p>
      <ul>
        <li v-for="(p, i) in problems.slice(0, 8)" :key="i">
          <button type="button" @click="goTo(p)">{{ t('text.at', { line: p.line }) }} {{ problemSentence(p) }}</button>
        </li>
      </ul>
      <v-btn @click="fromSession">{{ t('text.back') }}</v-btn>
    </div>
    <p v-else class="quiet">{{ t('text.hint') }}</p>
  </div>
</template>

<style scoped>
.text-panel {
  flex: 1;
  min-height: 320px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding-bottom: 12px;
}
textarea {
  flex: 1;
  width: 100%;
  min-height: 200px;
  resize: none;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--floor);
  color: var(--ink);
  font: 15px/1.5 var(--text);
  white-space: pre-wrap;
}
textarea[aria-invalid='true'] {
  border-color: var(--care);
}
p {
  margin: 0;
  font-size: 14px;
  white-space: pre-line;
}
ul {
  list-style: none;
  margin: 4px 0 8px;
  padding: 0;
}
li button {
  width: 100%;
  min-height: 34px;
  padding: 4px 8px;
  border: 0;
  border-left: 4px solid var(--care);
  background: var(--care-soft);
  color: var(--ink);
  font: 14px/1.3 var(--text);
  text-align: left;
  cursor: pointer;
  overflow-wrap: anywhere;
}
li + li {
  margin-top: 4px;
}
</style>
