<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText, type Group } from '@esfuerzo/core'
import { readText, type Answer, type Question, type ReadText } from '@esfuerzo/core/notation'
import AskWords from './AskWords.vue'
import ReadPreview from './ReadPreview.vue'
import { longest } from './longest.ts'
import { useAnswers, type Told } from './useAnswers.ts'
import { library } from '../repertoire/library.ts'
import { problemText } from '../words/i18n.ts'
import AppDialog from '../shared/dialog/AppDialog.vue'

/** Any text next to its result; its open questions are answered, and then it is accepted. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  title: string
  /** The label of the button that accepts it. */
  take: string
  /** An initial text. */
  pasted?: string | undefined
  groups: readonly Group[]
  /** The groups belong to an existing session. */
  keepGroups?: boolean
  busy?: boolean
  /** The content of the file that is not in the text. */
  left?: readonly string[] | undefined
  /** Why it was not taken. */
  problem?: string
}>()
const emit = defineEmits<{ take: [read: ReadText, text: string] }>()
const { t } = useI18n()
const { told, withAnswer, answer, forgetChoices } = useAnswers()
const text = ref('')
watch(
  [open, () => props.pasted],
  ([now, pasted]) => {
    if (now && pasted) text.value = pasted
    if (!now) forgetChoices()
  },
  { immediate: true },
)

const read = shallowRef<ReadText>()
const readWith = (told: Told) =>
  readText(text.value, library, { groups: props.groups, keepGroups: props.keepGroups, ...told })
watch([text, told], () => (read.value = text.value.trim() ? readWith(told.value) : undefined), { immediate: true })

/** How long the session lasts with an answer. */
const lasting = (question: Question, given: Answer): string =>
  minutesText(longest(readWith(withAnswer(question, given)).workout))
const rows = computed(() => read.value?.workout.sections.some((s) => s.blocks.length) ?? false)
</script>

<template>
  <AppDialog v-model="open" :title="title" :width="1080">
    <div class="columns">
      <v-textarea
        v-model="text"
        class="text"
        :label="t('reading.text')"
        :placeholder="t('reading.placeholder')"
        rows="16"
        spellcheck="false"
        autocomplete="off"
      />
      <div class="came">
        <p v-if="!read" class="quiet">{{ t('reading.empty') }}</p>
        <template v-else>
          <p v-for="what in left" :key="what" class="quiet left">{{ what }}</p>
          <AskWords :questions="read.questions" :lasting="lasting" @answer="answer" />
          <p v-for="(p, i) in read.problems" :key="i" class="care">{{ problemText(p) }}</p>
          <ReadPreview :session="read.workout" />
        </template>
      </div>
    </div>
    <template #actions>
      <p v-if="problem" class="care problem" role="alert">{{ problem }}</p>
      <v-btn @click="open = false">{{ t('cancel') }}</v-btn>
      <v-btn class="main" :disabled="!rows" :loading="busy" @click="read && emit('take', read, text)">{{ take }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 18px;
  padding-top: 14px;
}
.came {
  display: grid;
  gap: 12px;
  align-content: start;
}
.left {
  margin: 0;
}
.problem {
  margin: 0 auto 0 0;
  white-space: pre-line;
}
@media (max-width: 800px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
