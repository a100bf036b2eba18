<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core'
import { computed, nextTick, shallowRef, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { libraryFor, minutesText } from '@esfuerzo/core'
import type { Answer, Question } from '@esfuerzo/core/notation'
import AskWords from '../../reading/AskWords.vue'
import TextEditor from '../../reading/TextEditor.vue'
import { library } from '../../repertoire/library.ts'
import { useLanes } from '../lanes/useLanes.ts'
import { useSession } from '../session/useSession.ts'
import { lineEntries } from './lineEntries.ts'
import HowItCame from './HowItCame.vue'
import LineBecame from './LineBecame.vue'
import { useSessionText } from './useSessionText.ts'

/** The session as text, how each line was read, and below it the open question. */
const { t } = useI18n()
const session = useSession()
const timed = useLanes()
const { text, asks, lines, refused, waiting, clashes, onCaret, answer, lasting, settle, fromSession } = useSessionText()
const editor = useTemplateRef('editor')
const ask = useTemplateRef('ask')
const sheet = useTemplateRef('sheet')
// A question that appears below takes space away.
useResizeObserver(sheet, () => editor.value?.showCaret())

const entries = computed(() =>
  lineEntries(session.document, lines.value, timed.lanes, asks.value, libraryFor(session.document, library)),
)
/** The question that was asked first comes first. */
const chosen = shallowRef<Question>()
const inTurn = computed(() => {
  const first = asks.value.find((q) => q.line === chosen.value?.line && q.received === chosen.value.received)
  return first ? [first, ...asks.value.filter((q) => q !== first)] : asks.value
})
async function onAsk(question: Question) {
  chosen.value = question
  await nextTick()
  ask.value?.focus()
}
async function onAnswer(question: Question, given: Answer) {
  await answer(question, given)
  if (!asks.value.length) editor.value?.focus()
}
defineExpose({ focus: () => editor.value?.focus() })
</script>

<template>
  <div class="text-panel">
    <div ref="sheet" class="sheet" :class="{ refused }">
      <TextEditor ref="editor" v-model="text" :label="t('text.label')" :marks="asks" @caret="onCaret">
        <template #default="{ tops }">
          <ol class="lines" :aria-label="t('text.became')">
            <template v-for="entry in entries" :key="entry.line">
              <li
                v-if="tops[entry.line - 1]"
                :style="{ top: `${tops[entry.line - 1]!.top}px`, minHeight: `${tops[entry.line - 1]!.height}px` }"
              >
                <LineBecame :entry="entry" @ask="onAsk" />
              </li>
            </template>
          </ol>
        </template>
      </TextEditor>
    </div>
    <AskWords
      ref="ask"
      :questions="inTurn"
      :lasting="(q, a) => minutesText(lasting(q, a))"
      @answer="onAnswer"
      @show="(q) => editor?.select(q)"
    />
    <div v-for="(clash, i) in clashes" :key="i" class="clash" role="status">
      <p>{{ t('text.clash', { theirs: clash.theirs.trim() }) }}</p>
      <v-btn @click="settle(clash, true)">{{ t('text.takeTheirs') }}</v-btn>
      <v-btn @click="settle(clash, false)">{{ t('text.keepMine') }}</v-btn>
    </div>
    <div v-if="refused" class="problems" role="status">
      <p class="care">{{ t('text.notYet') }}</p>
      <p class="care">{{ refused }}</p>
      <v-btn @click="fromSession">{{ t('text.back') }}</v-btn>
    </div>
    <p v-else-if="waiting" class="quiet">{{ t('text.waiting') }}</p>
    <p v-else class="quiet">{{ t('text.hint') }}</p>
    <HowItCame :id="session.id" />
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
.sheet {
  flex: 1;
  min-height: 200px;
  overflow-y: auto;
  border: 1px solid var(--line);
  border-radius: var(--corner);
}
.sheet:focus-within {
  border-color: var(--action);
  box-shadow: 0 0 0 2px var(--action);
}
.sheet.refused {
  border-color: var(--care);
}
.clash {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 8px;
}
.clash p {
  flex: 1 1 240px;
}
.lines li {
  position: absolute;
  left: 0;
  right: 0;
  display: flex;
}
p {
  margin: 0;
  font-size: 14px;
  white-space: pre-line;
}
</style>
