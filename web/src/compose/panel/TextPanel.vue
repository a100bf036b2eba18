<script setup lang="ts">
import { useSessionStorage } from '@vueuse/core'
import { computed, nextTick, onBeforeUnmount, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { libraryFor, minutesText, ProblemError, sameValue, type Workout } from '@esfuerzo/core'
import { applyText, print, type Answer, type AppliedText, type Question, type Readings } from '@esfuerzo/core/notation'
import { problemText } from '../../words/i18n.ts'
import AskWords from '../../reading/AskWords.vue'
import { longest } from '../../reading/longest.ts'
import { useReadings } from '../../reading/useReadings.ts'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { useEdits } from '../edits/useEdits.ts'
import { mergeText } from './mergeText.ts'

/**
 * The session as a text, both ways live: what is typed changes the running order, what is changed there is written here. A line that is
 * being typed waits until it is left; what is not clear is asked. What is typed outlives another tab, another page, a reload.
 */
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const { readings, remember, withAnswer } = useReadings()
const field = useTemplateRef('field')

const printed = (workout: Workout) => print(workout, libraryFor(workout, library))
/** What is typed and not yet the session's, with the session's text it began with. */
const held = useSessionStorage<{ text: string; base: string } | null>(`esfuerzo.text.${session.id}`, null, {
  serializer: { read: (text) => JSON.parse(text) as { text: string; base: string }, write: JSON.stringify },
})
const base = shallowRef(printed(session.workout))
const text = shallowRef(held.value ? mergeText(held.value.text, held.value.base, base.value) : base.value)
const questions = shallowRef<readonly Question[]>([])
const refused = shallowRef('')
/** A line is being typed that is not clear yet: the session waits for it to be left. */
const waiting = shallowRef(false)
let leaving: ReturnType<typeof setTimeout> | undefined

const caretLine = (): number => text.value.slice(0, field.value?.selectionStart ?? 0).split('\n').length
const applied = (words: Readings): AppliedText => applyText(text.value, session.workout, library, words)

/** What the session does not have yet outlives the panel. */
const keep = () => (held.value = waiting.value || refused.value ? { text: text.value, base: base.value } : null)

/** Puts the text to the session. @param typing the caret's line is not finished */
function take(typing: boolean): void {
  clearTimeout(leaving)
  refused.value = ''
  try {
    const { workout, questions: open, problems } = applied(readings.value)
    questions.value = open
    refused.value = problems.map(problemText).join('\n')
    waiting.value = typing && document.activeElement === field.value && open.some((q) => q.line === caretLine())
    // A half-written name is no move; a pause ends it as well.
    if (waiting.value) leaving = setTimeout(() => take(false), 2500)
    else if (!sameValue(workout, session.workout)) {
      made = workout
      edits.edit(() => workout, 'text')
      made = session.workout
    }
    if (!waiting.value) base.value = printed(session.workout)
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    refused.value = error.problems.map(problemText).join('\n')
  }
  keep()
}
/** The session as the text last made it; any other came from elsewhere. */
let made: Workout = session.workout
if (held.value) take(false)

watch(
  () => session.workout,
  (now) => {
    if (now === made) return
    // What was changed elsewhere is written here, beside what is being typed.
    made = now
    const theirs = printed(now)
    text.value = mergeText(text.value, base.value, theirs)
    base.value = theirs
    keep()
    if (!held.value) questions.value = applied(readings.value).questions
  },
)
watch(readings, () => take(false))
onBeforeUnmount(() => {
  if (waiting.value) take(false)
})

function onInput(event: Event) {
  text.value = (event.target as HTMLTextAreaElement).value
  take(true)
}
function onCaret() {
  if (waiting.value && !questions.value.some((q) => q.line === caretLine())) take(false)
}
/** What is said of a word is its row's from now on: the text says it as ours do. */
async function onAnswer(question: Question, answer: Answer) {
  await remember(question, answer)
  text.value = base.value = printed(session.workout)
}
const lasting = (question: Question, answer: Answer): string =>
  minutesText(longest(applied(withAnswer(question, answer)).workout))

async function goTo(question: Question) {
  const before = text.value
    .split('\n')
    .slice(0, question.line - 1)
    .reduce((n, line) => n + line.length + 1, 0)
  const start = before + question.column - 1
  await nextTick()
  field.value?.focus()
  field.value?.setSelectionRange(start, start + question.length)
}
function fromSession() {
  waiting.value = false
  refused.value = ''
  questions.value = []
  text.value = base.value = printed(session.workout)
  held.value = null
}
const asks = computed(() => (waiting.value ? questions.value.filter((q) => q.line !== caretLine()) : questions.value))
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="text-panel">
    <textarea
      ref="field"
      :value="text"
      :aria-label="t('text.label')"
      :aria-invalid="refused !== ''"
      spellcheck="false"
      autocomplete="off"
      @input="onInput"
      @keyup="onCaret"
      @click="onCaret"
      @blur="waiting && take(false)"
    />
    <AskWords :questions="asks" :lasting="lasting" @answer="onAnswer" @show="goTo" />
    <div v-if="refused" class="problems" role="status">
      <p class="care">{{ t('text.notYet') }}</p>
      <p class="care">{{ refused }}</p>
      <v-btn @click="fromSession">{{ t('text.back') }}</v-btn>
    </div>
    <p v-else-if="waiting" class="quiet">{{ t('text.waiting') }}</p>
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
</style>
