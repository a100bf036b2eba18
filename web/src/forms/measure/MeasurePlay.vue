<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type Figure } from '@esfuerzo/core/figure'
import { type Play, type PlayOf } from '@esfuerzo/core/publication'
import { type Pulse } from '@esfuerzo/core/run'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import { audioClock } from '../../player/audioClock.ts'
import PulseHelper from '../../player/PulseHelper.vue'
import type { Finding } from '../../player/usePlayer.ts'
import type { FormScreen } from '../formScreen.ts'

/** A measurement: how it is done, in a picture and words; the clock it needs; a box for each trial. */
const props = defineProps<FormScreen<Play | undefined>>()
const emit = defineEmits<{ note: [finding: Finding]; finish: [] }>()
const { t } = useSentences()
type Test = PlayOf<'measure'>['test']
const test = (props.step.say.params.test as Test | undefined) ?? 'pulse'
const trials = Array.from({ length: (props.step.say.params.n as number | undefined) ?? 1 }, (_, i) => i + 1)
const moment = props.play?.form === 'measure' ? props.play.moment : 'during'
const when: Pulse['when'] = moment === 'before' || moment === 'after' ? moment : 'during'
const figure = computed(() =>
  test === 'sitAndReach' ? (props.publication.figures.find((f) => f.id === 'seated-reach') as Figure) : undefined,
)
const typed = ref<Record<number, string>>({})
const unit = test === 'hold' ? 'seconds' : test === 'reps30' ? 'reps' : 'score'
const valueOf = (trial: number) => {
  const text = (typed.value[trial] ?? '').trim()
  return /^-?\d{1,3}([.,]\d)?$/.test(text) ? Number(text.replace(',', '.')) : undefined
}
const complete = computed(() => trials.every((trial) => valueOf(trial) !== undefined))

/** A clock of its own: a stopwatch for holds, thirty seconds for reps. */
const since = ref<number>()
const passed = ref(0)
let timer: ReturnType<typeof setInterval> | undefined
function onClock() {
  if (since.value !== undefined) {
    typed.value[trials.find((trial) => valueOf(trial) === undefined) ?? 1] = String(Math.round(passed.value))
    stop()
    return
  }
  since.value = audioClock.now()
  timer = setInterval(() => {
    passed.value = audioClock.now() - since.value!
    if (test === 'reps30' && passed.value >= 30) stop()
  }, 100)
}
function stop() {
  clearInterval(timer)
  since.value = undefined
}
onBeforeUnmount(stop)

function onSave() {
  for (const trial of trials) {
    const value = valueOf(trial)
    const { block } = props.step
    if (value !== undefined) emit('note', { result: { block, trial, value, unit } })
  }
  emit('finish')
}
function onPulse(pulse: Pulse) {
  emit('note', { pulse })
  emit('finish')
}
</script>

<template>
  <div class="measure">
    <h2>
      {{ heading }} <span class="num quiet" data-testid="digits">{{ digits }}</span>
    </h2>
    <PulseHelper v-if="test === 'pulse'" :when="when" @pulse="onPulse" />
    <template v-else>
      <MoveFigure v-if="figure" :figure="figure" :size="150" :cycle="6" :paused="paused" />
      <p>{{ t(`player.measure.${test}`) }}</p>
      <div v-if="test !== 'sitAndReach'" class="row">
        <b class="num clock">{{ test === 'reps30' ? Math.max(0, Math.ceil(30 - passed)) : Math.floor(passed) }}</b>
        <button v-if="test === 'hold' || since === undefined" type="button" @click="onClock">
          {{ t(since === undefined ? 'player.measure.go' : 'player.measure.stop') }}
        </button>
      </div>
      <div class="row">
        <label v-for="trial in trials" :key="trial">
          <span>{{ t(`player.measure.unit.${test}`) }} {{ trials.length > 1 ? trial : '' }}</span>
          <input v-model="typed[trial]" inputmode="decimal" maxlength="5" />
        </label>
      </div>
      <button type="button" class="main" :disabled="!complete" @click="onSave">{{ t('player.done') }}</button>
    </template>
    <button type="button" @click="emit('finish')">{{ t('player.measure.without') }}</button>
  </div>
</template>

<style scoped>
.measure {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: space-evenly;
  gap: 10px;
}
p,
h2 {
  margin: 0;
}
p {
  white-space: pre-line;
  max-width: 36em;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  justify-content: center;
  align-items: end;
}
.clock {
  font: 700 64px/1 var(--display);
}
label {
  display: grid;
  gap: 4px;
}
</style>
