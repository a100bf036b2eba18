<script setup lang="ts">
import { computed, onScopeDispose, reactive, ref, shallowReactive, shallowRef, watch } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { minutesText } from '@esfuerzo/core'
import { type Lane } from '@esfuerzo/core/publication'
import { asksPulse, runFormat, runVersion, surveyQuestions, type Run, type Survey } from '@esfuerzo/core/run'
import type { LaneResult } from '../player/PlayerStage.vue'
import AfterLane, { type LaneAnswers } from './AfterLane.vue'
import { changeBook, childBook, movedInWeek, withRun } from './book.ts'
import { keepTime, lastTime, type LastTime } from './kept.ts'
import LinkProblem from './LinkProblem.vue'
import { pupilId } from './pupils.ts'
import SentLine from './SentLine.vue'
import type { Life, SendOutcome } from './runLife.ts'
import { runs } from './runs.ts'
import { saveRuns } from './saveRuns.ts'
import { useLinkedSession } from './session.ts'

const props = defineProps<{ token: string }>()
const { t } = useSentences()
const { session, error, load } = useLinkedSession(props.token)
/** The run that the questions are about; null if there is none. */
const life = shallowRef<Life | null>()
void runs.finished(props.token).then(([latest]) => (life.value = latest ?? null))

const ran = computed(() =>
  (life.value?.results ?? []).flatMap((result) => {
    const lane = session.value?.publication.lanes.find((l) => l.id === result.lane)
    return lane ? [{ lane, result }] : []
  }),
)
/** Nothing was done: neither praise nor blame. */
const early = computed(() => ran.value.every(({ result }) => !result.done))
const took = computed(() => {
  const { startedAt, finishedAt } = life.value ?? {}
  return finishedAt ? minutesText(Math.round((Date.parse(finishedAt) - Date.parse(startedAt!)) / 1000)) : ''
})
const answers = shallowReactive<Record<string, LaneAnswers>>({})
const survey = reactive<Survey>({})
const last = shallowReactive<Record<string, LastTime | undefined>>({})
/** The book of the child that ran, if it entered its code. */
const bookOf = computed(() => {
  const who = ran.value.map(({ lane }) => pupilOf(lane.id)).find(Boolean)
  return who ? { who } : {}
})
/** For each lane the minutes its child moved this week, including this run, if the session asks for them. */
const moved = shallowReactive<Record<string, number>>({})
watch([session, life], async ([found, now]) => {
  if (!found?.publication.asksMoved || !now?.finishedAt) return
  for (const { lane } of ran.value) {
    const entry = { run: runIdOf(lane.id), title: '', at: now.finishedAt, lines: [], words: [] }
    const run = { startedAt: now.startedAt, finishedAt: now.finishedAt }
    const book = withRun(await childBook(pupilOf(lane.id)), entry, run)
    moved[lane.id] = movedInWeek(book, new Date(now.finishedAt))
  }
})
const state = ref<'asking' | 'sending' | SendOutcome>('asking')
/** The answers, to be saved as a file. */
const told = shallowRef<Run[]>([])

watch([session, life], async ([found]) => {
  if (!found) return
  for (const { lane } of ran.value) last[lane.id] = await lastTime(found.publication.title, lane.id, pupilOf(lane.id))
})

/** The child that ran a lane, if it entered its code. */
const whoRan = (lane: string) => life.value?.lanes.find((l) => l.lane === lane)?.pupil
function pupilOf(lane: string): string | undefined {
  const pupil = whoRan(lane)
  return pupil && pupilId(pupil)
}

const runIdOf = (lane: string) => life.value!.lanes.find((l) => l.lane === lane)!.run

function runOf({ lane, result }: { lane: Lane; result: LaneResult }): Run {
  const { startedAt, finishedAt, ended } = life.value!
  const { felt, results = [], pulses = [] } = answers[lane.id] ?? {}
  const { done, skipped, easier, counted = [] } = result
  return {
    format: runFormat,
    version: runVersion,
    id: runIdOf(lane.id),
    publication: session.value!.sha256,
    group: lane.id,
    startedAt,
    finishedAt: finishedAt!,
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
    steps: { done, skipped, easier },
    ...(ended && { ended }),
    ...(counted.length && { counted: [...counted] }),
    ...(felt && { felt }),
    results: [...results],
    // Nobody asked for a pulse: it stays here.
    ...(pulses.length && asksPulse(lane) && { pulses: [...pulses] }),
    ...(Object.keys(survey).length && { survey: { ...survey } }),
    ...(session.value!.publication.asksMoved && { movedMinutes: moved[lane.id] ?? 0 }),
  }
}

/** The results go into the child's own book, which stays on the device. */
async function keepInBook(run: Run) {
  const { publication } = session.value!
  const { lines = [] } = answers[run.group] ?? {}
  const entry = { run: run.id, title: publication.title, at: run.finishedAt, lines, words: [...publication.words] }
  await changeBook(pupilOf(run.group) ?? '', (book) => withRun(book, entry, run))
}

async function onSend() {
  state.value = 'sending'
  const { title } = session.value!.publication
  const all = ran.value.map(runOf)
  // The child's book first: it can be opened while the rest is being sent, and has the run even if the page is closed now.
  for (const run of all) await keepInBook(run)
  told.value = all
  state.value = await runs.answer(life.value!, all)
  for (const { group, finishedAt, results } of all)
    await keepTime(title, group, { finishedAt, results }, pupilOf(group))
}
/** A kept run is sent automatically when the network is back; then the page says so. */
async function onOnline() {
  if (state.value !== 'kept') return
  await runs.sendWaiting()
  if (!(await runs.waiting()).some(({ id }) => id === life.value!.id)) state.value = 'sent'
}
addEventListener('online', onOnline)
onScopeDispose(() => removeEventListener('online', onOnline))
const onFile = () => saveRuns(session.value!.publication.title, told.value)
</script>

<template>
  <LinkProblem v-if="error" :code="error" @again="load" />
  <main v-else-if="session && (life === null || (life && !ran.length))" class="page">
    <h1>{{ t('after.nothing') }}</h1>
    <router-link class="button main" :to="{ name: 'front', params: { token } }">{{ t('after.toStart') }}</router-link>
  </main>
  <main v-else-if="session && life" class="page">
    <h1>{{ t(early ? 'after.titleEarly' : 'after.title') }}</h1>
    <template v-if="state === 'asking' || state === 'sending'">
      <p v-if="life.target" class="target">
        {{ t('after.target', { target: t(`front.targets.${life.target}`) }) }}
      </p>
      <AfterLane
        v-for="{ lane, result } in ran"
        :key="lane.id"
        :publication="session.publication"
        :lane="lane"
        :ran="result"
        :took="took"
        :alias="whoRan(lane.id)?.alias"
        :last="last[lane.id]"
        @change="answers[lane.id] = $event"
      />
      <section class="card" aria-labelledby="survey">
        <h2 id="survey">{{ t('after.survey') }}</h2>
        <div v-for="(choices, question) in surveyQuestions" :key="question" class="question" role="group">
          <p>{{ t(`after.${question}`) }}</p>
          <button
            v-for="choice in choices"
            :key="choice"
            type="button"
            :aria-pressed="survey[question] === choice"
            @click="Object.assign(survey, { [question]: choice })"
          >
            {{ t(`after.${question}Answers.${choice}`) }}
          </button>
        </div>
      </section>
      <p v-for="(n, lane) in moved" :key="lane">{{ t('after.moved', { n }) }}</p>
      <button type="button" class="main" :disabled="state === 'sending'" @click="onSend">{{ t('after.send') }}</button>
      <SentLine
        :lanes="ran.map(({ lane }) => ({ lane, alias: whoRan(lane.id)?.alias }))"
        :kept-until="session.keptUntil"
        :moved="session.publication.asksMoved"
      />
    </template>
    <template v-else>
      <section class="card" role="status">
        <h2>{{ t(`after.state.${state}.title`) }}</h2>
        <p>{{ t(`after.state.${state}.text`) }}</p>
        <p v-if="state !== 'sent'">
          <button type="button" :class="{ main: state === 'unkept' }" @click="onFile">{{ t('after.file') }}</button>
        </p>
      </section>
      <section class="card">
        <h2>{{ t('after.next') }}</h2>
        <p>{{ t('after.nextText') }}</p>
      </section>
    </template>
    <router-link v-if="told.length" class="button" :to="{ name: 'book', query: bookOf }">{{
      t('book.open')
    }}</router-link>
    <router-link class="button" :to="{ name: 'front', params: { token } }">{{ t('after.toStart') }}</router-link>
  </main>
  <main v-else class="page">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
</template>

<style scoped>
.question {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 6px 0;
}
.question p {
  flex: 1 1 240px;
}
.target {
  font-size: 20px;
}
</style>
