<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { libraryFor, minutesText, newWorkout, ProblemError, sessionProblems, type Workout } from '@esfuerzo/core'
import { readText, type Answer, type Question, type ReadText, type Readings } from '@esfuerzo/core/notation'
import AskWords from '../reading/AskWords.vue'
import ReadPreview from '../reading/ReadPreview.vue'
import { longest } from '../reading/longest.ts'
import { useReadings } from '../reading/useReadings.ts'
import { library } from '../repertoire/library.ts'
import { client } from '../shared/client.ts'
import { vFocusFirst } from '../shared/focusFirst.ts'
import { problemText } from '../words/i18n.ts'
import { refusalOf } from '../words/refusal.ts'

/** A session begun from a text as it is: pasted, looked at beside what it came to, its open words answered. */
const open = defineModel<boolean>({ required: true })
/** A text that is there already, pasted onto the page. */
const props = defineProps<{ pasted?: string }>()
const { t } = useI18n()
const router = useRouter()
const { readings, remember, withAnswer } = useReadings()
const text = ref('')
const busy = ref(false)
const problem = ref('')
watch(
  () => props.pasted,
  (pasted) => pasted && (text.value = pasted),
  { immediate: true },
)

const { groups } = newWorkout(
  'x',
  [
    [0, 1],
    [2, 3],
    [4, 5, 6],
  ],
  20,
  library.version,
)
const read = shallowRef<ReadText>()
const readWith = (words: Readings) => readText(text.value, library, { groups, readings: words })
watch([text, readings], () => (read.value = text.value.trim() ? readWith(readings.value) : undefined), {
  immediate: true,
})

/** What the session lasts with an answer; nothing where it changes nothing. */
function lasting(question: Question, answer: Answer): string {
  return minutesText(longest(readWith(withAnswer(question, answer)).workout))
}
const rows = computed(() => read.value?.workout.sections.some((s) => s.blocks.length) ?? false)

/** Its minutes are those it takes, in steps of five, so that the finish line stands where it ends. */
function document(workout: Workout): Workout {
  const minutes = Math.min(120, Math.max(5, Math.ceil(longest(workout) / 300) * 5))
  return { ...workout, minutes }
}
async function onMake() {
  if (!read.value) return
  busy.value = true
  problem.value = ''
  try {
    const made = document(read.value.workout)
    const problems = sessionProblems(made, libraryFor(made, library))
    if (problems.length) throw new ProblemError(problems)
    const { id } = await client('createWorkout', { body: { document: made } })
    open.value = false
    text.value = ''
    await router.push({ name: 'compose', params: { id } })
  } catch (error) {
    const { sentence, problems } = refusalOf(error)
    problem.value = [sentence, ...problems.map(problemText)].filter(Boolean).join('\n')
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <v-dialog v-model="open" :max-width="1080" scrollable :aria-label="t('reading.title')">
    <v-card>
      <v-card-title>{{ t('reading.title') }}</v-card-title>
      <v-card-text class="columns">
        <v-textarea
          v-model="text"
          v-focus-first
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
            <AskWords :questions="read.questions" :lasting="lasting" @answer="remember" />
            <p v-for="(p, i) in read.problems" :key="i" class="care">{{ problemText(p) }}</p>
            <ReadPreview :workout="read.workout" />
          </template>
        </div>
      </v-card-text>
      <v-card-actions>
        <p v-if="problem" class="care problem" role="alert">{{ problem }}</p>
        <v-btn @click="open = false">{{ t('cancel') }}</v-btn>
        <v-btn class="main" :disabled="!rows" :loading="busy" @click="onMake">{{ t('reading.make') }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 18px;
  padding-top: 14px !important;
}
.came {
  display: grid;
  gap: 12px;
  align-content: start;
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
