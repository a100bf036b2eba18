<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { computed, reactive, ref, shallowReactive, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText, runFormat, runVersion, surveyQuestions, type Run, type Survey } from '@esfuerzo/core'
import { CallError } from '@esfuerzo/contract/family'
import AfterLane, { type LaneAnswers } from './AfterLane.vue'
import { keepTime, lastTime, type LastTime } from './kept.ts'
import LinkProblem from './LinkProblem.vue'
import { sendRun } from './runQueue.ts'
import { dropRecord, readRecord } from './runRecord.ts'
import { useLinkedSession } from './session.ts'

const props = defineProps<{ token: string }>()
const { t } = useI18n()
const { session, error, load } = useLinkedSession(props.token)
const record = readRecord(props.token)
/** Made here, so that what is sent twice is stored once. */
const runIds = record?.lanes.map(() => uuid()) ?? []

const ran = computed(() =>
  (record?.lanes ?? []).flatMap((result) => {
    const lane = session.value?.publication.lanes.find((l) => l.id === result.lane)
    return lane ? [{ lane, result }] : []
  }),
)
const took = computed(() =>
  record ? minutesText(Math.round((Date.parse(record.finishedAt) - Date.parse(record.startedAt)) / 1000)) : '',
)
const answers = shallowReactive<Record<string, LaneAnswers>>({})
const survey = reactive<Survey>({})
const last = shallowReactive<Record<string, LastTime | undefined>>({})
const state = ref<'asking' | 'sending' | 'sent' | 'kept' | 'refused'>('asking')

watch(
  session,
  async (found) => {
    if (!found) return
    for (const { lane } of ran.value) last[lane.id] = await lastTime(found.publication.title, lane.id)
  },
  { immediate: true },
)

function runOf(i: number): Run {
  const { lane, result } = ran.value[i]!
  const { felt, results = [], pulses = [] } = answers[lane.id] ?? {}
  return {
    format: runFormat,
    version: runVersion,
    id: runIds[i]!,
    publication: session.value!.sha256,
    group: lane.id,
    startedAt: record!.startedAt,
    finishedAt: record!.finishedAt,
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
    steps: { done: result.done, skipped: result.skipped, easier: result.easier },
    ...(felt && { felt }),
    results: [...results],
    ...(pulses.length && { pulses: [...pulses] }),
    ...(Object.keys(survey).length && { survey: { ...survey } }),
  }
}

async function onSend() {
  state.value = 'sending'
  const { title } = session.value!.publication
  try {
    let all: 'sent' | 'kept' = 'sent'
    for (let i = 0; i < ran.value.length; i++) {
      const run = runOf(i)
      if ((await sendRun(props.token, run)) === 'kept') all = 'kept'
      await keepTime(title, run.group, { finishedAt: run.finishedAt, results: run.results })
    }
    dropRecord(props.token)
    state.value = all
  } catch (thrown) {
    if (!(thrown instanceof CallError)) throw thrown
    state.value = 'refused'
  }
}
</script>

<template>
  <LinkProblem v-if="error" :code="error" @again="load" />
  <main v-else-if="session && (!record || !ran.length)" class="page">
    <h1>{{ t('after.nothing') }}</h1>
    <router-link class="button main" :to="{ name: 'front', params: { token } }">{{ t('after.toStart') }}</router-link>
  </main>
  <main v-else-if="session && record" class="page">
    <h1>{{ t('after.title') }}</h1>
    <template v-if="state === 'asking' || state === 'sending'">
      <p v-if="record.target" class="target">
        {{ t('after.target', { target: t(`front.targets.${record.target}`) }) }}
      </p>
      <AfterLane
        v-for="{ lane, result } in ran"
        :key="lane.id"
        :publication="session.publication"
        :lane="lane"
        :ran="result"
        :took="took"
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
      <button type="button" class="main" :disabled="state === 'sending'" @click="onSend">{{ t('after.send') }}</button>
      <p class="quiet">{{ t('after.noName') }}</p>
    </template>
    <template v-else>
      <section class="card" role="status">
        <h2>{{ t(`after.state.${state}.title`) }}</h2>
        <p>{{ t(`after.state.${state}.text`) }}</p>
      </section>
      <section class="card">
        <h2>{{ t('after.next') }}</h2>
        <p>{{ t('after.nextText') }}</p>
      </section>
    </template>
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
[aria-pressed='true'] {
  border: 3px solid var(--action);
  font-weight: 700;
}
.target {
  font-size: 20px;
}
</style>
