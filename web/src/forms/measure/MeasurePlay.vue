<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type Play } from '@esfuerzo/core/publication'
import { countsOf, type Pulse, type Result } from '@esfuerzo/core/run'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import type { Finding } from '../../player/usePlayer.ts'
import type { FormScreen } from '../formScreen.ts'
import HowDone from '../../player/measure/HowDone.vue'
import { measureShown } from '../../player/measure/measureShown.ts'
import PulseCounts from '../../player/measure/PulseCounts.vue'
import { useTestClock } from '../../player/measure/useTestClock.ts'

/** A test: how it is set up and done, in a picture and words; its clock; a box for each try; how it was done. */
const props = defineProps<FormScreen<Play | undefined>>()
const emit = defineEmits<{ note: [finding: Finding]; finish: [] }>()
const { t } = useSentences()
const said = computed(() => (props.play?.form === 'measure' ? props.play : undefined))
const test = (props.step.say.params.test as string | undefined) ?? 'pulse'
const counts = countsOf({ test, moment: said.value?.moment ?? 'during' })
const measure = computed(() => measureShown(props.publication, test, (key) => t(key)))
const setUp = computed(() => {
  const setUps = measure.value?.setUps ?? []
  return setUps.find((s) => s.id === said.value?.setUp) ?? setUps[0]
})
const figure = computed(() => props.publication.figures.find((f) => f.id === measure.value?.figure))
const trials = Array.from({ length: (props.step.say.params.n as number | undefined) ?? 1 }, (_, i) => i + 1)
const typed = ref<Record<number, string>>({})

/** A try as a number, with a point or a comma, if it is possible. */
function valueOf(trial: number): number | undefined {
  const text = (typed.value[trial] ?? '').trim().replace(',', '.')
  const { from, to } = measure.value!.range
  const value = Number(text)
  return /^-?\d{1,4}(\.\d)?$/.test(text) && value >= from && value <= to ? value : undefined
}
const complete = computed(() => trials.every((trial) => valueOf(trial) !== undefined))
/** An impossible try is named. */
const off = computed(() => trials.some((trial) => (typed.value[trial] ?? '').trim() && valueOf(trial) === undefined))
/** The next one to be filled in. */
const open = computed(() => trials.find((trial) => valueOf(trial) === undefined) ?? trials.at(-1)!)

const clock = computed(() => measure.value?.clock ?? { kind: 'none' as const, seconds: undefined })
const {
  passed,
  running,
  start,
  stop: stopClock,
} = useTestClock({
  most: () => (clock.value.kind === 'down' ? clock.value.seconds : said.value?.cap),
  onEnd: (seconds) => {
    if (clock.value.kind === 'up') typed.value[open.value] = String(Math.round(seconds))
  },
})
const left = computed(() => Math.max(0, Math.ceil((clock.value.seconds ?? 0) - passed.value)))
const topped = computed(
  () => said.value?.cap !== undefined && trials.some((trial) => (valueOf(trial) ?? 0) >= said.value!.cap!),
)
/** Instructions come first, then the clock. */
const ready = ref(false)
/** Which try is being counted: the one that was open when the clock started. */
const counting = ref(1)
function onStart() {
  counting.value = open.value
  if (clock.value.kind === 'down') typed.value[counting.value] = ''
  start()
}
const onOne = () => (typed.value[counting.value] = String((valueOf(counting.value) ?? 0) + 1))

function onDone(how?: Result['how']) {
  const { block } = props.step
  const { unit } = measure.value!
  const setUpId = how?.setUp ?? setUp.value?.id
  const told = { ...how, ...(setUpId && { setUp: setUpId }) }
  for (const trial of trials) {
    const value = valueOf(trial)
    if (value === undefined) continue
    emit('note', { result: { block, trial, value, unit, ...(Object.keys(told).length && { how: told }) } })
  }
  emit('finish')
}
function onPulses(pulses: Pulse[]) {
  for (const pulse of pulses) emit('note', { pulse })
  emit('finish')
}
</script>

<template>
  <div class="measure">
    <h2>{{ heading }} <span class="num quiet" data-testid="digits">{{ digits }}</span></h2>
    <PulseCounts v-if="counts.length" :counts="counts" :seconds="measure?.clock.seconds" @done="onPulses">
      <p v-for="line in measure?.steps ?? []" :key="line">{{ words.phrase(line) }}</p>
    </PulseCounts>
    <template v-else-if="measure">
      <template v-if="!ready">
        <div class="how">
          <MoveFigure v-if="figure" :figure="figure" :size="92" :cycle="6" :paused="paused" />
          <ol>
            <li v-if="setUp && setUp.how !== measure.steps[0]">{{ words.phrase(setUp.how) }}</li>
            <li v-for="line in measure.steps" :key="line">{{ words.phrase(line) }}</li>
            <li v-if="measure.practice">
              {{ t('player.measure.practice', { text: words.phrase(measure.practice) }) }}
            </li>
          </ol>
        </div>
        <p v-if="measure.ends" class="quiet">{{ t('player.measure.ends', { text: words.phrase(measure.ends) }) }}</p>
        <p v-for="caution in measure.cautions" :key="caution" class="care">{{ words.phrase(caution) }}</p>
        <button type="button" class="main" @click="ready = true">{{ t('player.measure.ready') }}</button>
      </template>
      <template v-else>
        <div v-if="clock.kind === 'up' || clock.kind === 'down'" class="row">
          <b class="num clock" aria-live="off">{{ clock.kind === 'down' ? left : Math.floor(passed) }}</b>
          <button v-if="!running" type="button" :class="{ main: !complete }" @click="onStart">
            {{ t('player.measure.go') }}
          </button>
          <template v-else>
            <button v-if="clock.kind === 'down'" type="button" class="main" @click="onOne">
              {{ t('player.measure.one') }}
            </button>
            <button type="button" :class="{ main: clock.kind === 'up' }" @click="stopClock">
              {{ t('player.measure.stop') }}
            </button>
          </template>
        </div>
        <div class="row">
          <label v-for="trial in trials" :key="trial">
            <span>{{
              trials.length > 1
                ? t('player.measure.trial', { unit: words.phrase(measure.in), n: trial })
                : words.phrase(measure.in)
            }}</span>
            <input v-model="typed[trial]" inputmode="decimal" maxlength="6" />
          </label>
        </div>
        <p v-if="off && !running" role="alert">
          {{ t('player.measure.range', { from: measure.range.from, to: measure.range.to }) }}
        </p>
        <p v-if="topped" role="status">{{ t('player.measure.top') }}</p>
        <HowDone
          :measure="measure"
          :set-up="setUp?.id"
          :moment="said?.moment ?? 'alone'"
          :ready="complete && !running"
          :phrase="words.phrase"
          @done="onDone"
        />
        <button type="button" class="plain" @click="ready = false">{{ t('player.measure.how') }}</button>
      </template>
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
p,
.how {
  max-width: 40em;
}
.how {
  display: flex;
  align-items: center;
  gap: 14px;
}
ol {
  margin: 0;
  padding-left: 1.2em;
  text-align: left;
}
.care {
  font-weight: 700;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  justify-content: center;
  align-items: end;
}
.clock {
  font: 700 56px/1 var(--display);
  min-width: 2ch;
  text-align: center;
}
label {
  display: grid;
  gap: 4px;
}
@media (max-width: 480px) {
  .how {
    flex-direction: column;
  }
}
</style>
