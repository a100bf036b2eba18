<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { feltScale, minutesText, moveNames, runFormat, sayName, type Felt, type Run, type Say } from '@esfuerzo/core'
import { CallError } from '@esfuerzo/contract'
import LaneKey from '../shared/lanes/LaneKey.vue'
import FeltFace from './FeltFace.vue'
import LinkProblem from './LinkProblem.vue'
import { sendRun } from './runQueue.ts'
import { readRecord } from './runRecord.ts'
import { useLinkedSession } from './session.ts'

const props = defineProps<{ token: string }>()
const { t } = useI18n()
const { session, error, load } = useLinkedSession(props.token)
const record = readRecord(props.token)
const runId = uuid()

const lane = computed(() => session.value?.publication.lanes.find((l) => l.id === record?.lane))
const scale = computed<Felt['scale']>(() => feltScale(lane.value?.grades ?? [0]))
const choices = computed(() => (scale.value === 'faces' ? [1, 2, 3, 4, 5] : [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10]))
const felt = ref<number>()
const reps = reactive<Record<string, string>>({})
const state = ref<'asking' | 'sending' | 'sent' | 'kept' | 'refused'>('asking')

/** Where the session asks for results: one box per lap, as often as the station came. */
const asked = computed(() => {
  if (!session.value || !lane.value) return []
  const { publication } = session.value
  const names = moveNames(new Map(publication.moves.map((m) => [m.id, m])))
  return publication.sections
    .flatMap((s) => s.blocks)
    .flatMap((block) =>
      block.stations
        .filter((s) => s.record)
        .map((station) => {
          const steps = lane.value!.steps.filter((s) => s.station === station.id && s.kind === 'work')
          const laps = [...new Set(steps.map((s) => s.lap ?? 1))]
          return {
            block: block.id,
            station: station.id,
            unit: station.record!,
            name: steps[0] ? sayName(steps[0].say as Say, names) : '',
            laps,
            key: (lap: number) => `${station.id}-${lap}`,
          }
        }),
    )
    .filter((a) => a.laps.length)
})
const took = computed(() =>
  record ? minutesText((Date.parse(record.finishedAt) - Date.parse(record.startedAt)) / 1000) : '',
)
const onlyDigits = (text: string) => text.replace(/\D/g, '').slice(0, 3)

async function onSend() {
  if (!session.value || !record) return
  state.value = 'sending'
  const run: Run = {
    format: runFormat,
    version: 1,
    id: runId,
    publication: session.value.sha256,
    group: record.lane,
    startedAt: record.startedAt,
    finishedAt: record.finishedAt,
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
    steps: { done: record.done, skipped: record.skipped, easier: 0 },
    ...(felt.value !== undefined && { felt: { scale: scale.value, value: felt.value } as Felt }),
    results: asked.value.flatMap((a) =>
      a.laps.flatMap((lap) => {
        const typed = reps[a.key(lap)]
        return typed ? [{ block: a.block, station: a.station, lap, value: Number(typed), unit: a.unit }] : []
      }),
    ),
  }
  try {
    state.value = await sendRun(props.token, run)
  } catch (thrown) {
    if (!(thrown instanceof CallError)) throw thrown
    state.value = 'refused'
  }
}
</script>

<template>
  <LinkProblem v-if="error" :code="error" @again="load" />
  <main v-else-if="session && (!record || !lane)" class="page">
    <h1>{{ t('after.nothing') }}</h1>
    <router-link class="button main" :to="{ name: 'front', params: { token } }">{{ t('after.toStart') }}</router-link>
  </main>
  <main v-else-if="session && lane && record" class="page">
    <header>
      <h1>{{ t('after.title') }}</h1>
      <p>
        <LaneKey :letter="lane.letter" :name="lane.name" /> ·
        {{ record.done ? t('after.done', { n: record.done, time: took }) : t('after.short') }}
      </p>
    </header>

    <template v-if="state === 'asking' || state === 'sending'">
      <fieldset>
        <legend>
          <h2>{{ t('after.felt') }}</h2>
        </legend>
        <div class="felt" :class="scale">
          <label v-for="n in choices" :key="n" :class="{ on: felt === n }">
            <input v-model="felt" type="radio" name="felt" :value="n" class="out-of-sight" />
            <FeltFace v-if="scale === 'faces'" :level="n" />
            <b v-else class="num">{{ n }}</b>
            <span v-if="scale === 'faces' || n % 5 === 0">{{ t(`after.${scale}.${n}`) }}</span>
            <span v-else class="out-of-sight">{{ t('after.ofTen') }}</span>
          </label>
        </div>
      </fieldset>
      <section v-if="asked.length" aria-labelledby="reps">
        <h2 id="reps">{{ t('after.reps') }}</h2>
        <div v-for="a in asked" :key="a.station" class="asked">
          <b>{{ a.name }}</b>
          <label v-for="lap in a.laps" :key="lap">
            <span class="quiet">{{ a.laps.length > 1 ? t('after.lap', { n: lap }) : t('after.count') }}</span>
            <input
              :value="reps[a.key(lap)] ?? ''"
              inputmode="numeric"
              maxlength="3"
              :aria-label="t('after.box', { name: a.name, n: lap })"
              @input="reps[a.key(lap)] = onlyDigits(($event.target as HTMLInputElement).value)"
            />
          </label>
        </div>
      </section>
      <button type="button" class="main" :disabled="state === 'sending'" @click="onSend">{{ t('after.send') }}</button>
      <p class="quiet">{{ t('after.noName') }}</p>
    </template>
    <section v-else class="card" role="status">
      <h2>{{ t(`after.state.${state}.title`) }}</h2>
      <p>{{ t(`after.state.${state}.text`) }}</p>
    </section>
    <router-link class="button" :to="{ name: 'front', params: { token } }">{{ t('after.toStart') }}</router-link>
  </main>
  <main v-else class="page">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
</template>

<style scoped>
header {
  display: grid;
  gap: 8px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  padding: 0;
}
.felt {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 8px;
}
.felt.ten {
  grid-template-columns: repeat(auto-fit, minmax(58px, 1fr));
}
.felt label {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 4px;
  min-height: 64px;
  padding: 8px 2px;
  border: 2px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  font-size: 15px;
  text-align: center;
  cursor: pointer;
}
.felt label.on {
  border-color: var(--action);
  background: var(--action-soft);
}
.felt label:focus-within {
  outline: 3px solid var(--action);
  outline-offset: 2px;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px;
  padding: 10px 0;
}
.asked b {
  flex-basis: 100%;
}
.asked label {
  display: grid;
  font-size: 15px;
}
.asked input {
  width: 84px;
  height: 56px;
  border: 2px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--ink);
  font: 700 24px var(--display);
  text-align: center;
}
</style>
