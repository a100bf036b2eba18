<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { decodeHeartRate, pulseRate, type Pulse } from '@esfuerzo/core/run'
import { audioClock } from './audioClock.ts'
import { bluetoothBelt, radioOf, simulatedBelt, type Belt } from './belt.ts'

/** Counting a pulse with the fingers for 6, 10, 15 or 30 seconds, or with a belt. */
const props = defineProps<{ when: Pulse['when']; seconds?: number | undefined }>()
const emit = defineEmits<{ pulse: [pulse: Pulse] }>()
const { t } = useSentences()
/** A test that is counted for half a minute is counted that long by everybody. */
const lengths = props.seconds === 30 ? ([30] as const) : ([6, 10, 15] as const)
const seconds = ref<Pulse['seconds']>(props.seconds === 30 ? 30 : 15)
const startsAt = ref<number>()
const left = ref(0)
const beats = ref('')
/** Time to find the pulse before counting starts. */
const ready = 3

let timer: ReturnType<typeof setInterval> | undefined
function onStart() {
  startsAt.value = audioClock.now() + ready
  const sound = (at: number, tone: 'work' | 'end') => ({ key: `pulse:${at}`, at, sound: tone, pitch: 1 })
  audioClock.plan([sound(startsAt.value, 'work'), sound(startsAt.value + seconds.value, 'end')])
  clearInterval(timer)
  timer = setInterval(look, 100)
  look()
}
function look() {
  left.value = startsAt.value! + seconds.value - audioClock.now()
  if (left.value <= 0) clearInterval(timer)
}
const stage = computed(() =>
  startsAt.value === undefined ? 'idle' : left.value > seconds.value ? 'ready' : left.value > 0 ? 'count' : 'enter',
)
const counted = computed(() => {
  const n = Number(beats.value)
  return n >= 1 && n <= (seconds.value === 30 ? 130 : 80) ? pulseRate(n, seconds.value) : undefined
})
const onSave = () => emit('pulse', { beats: Number(beats.value), seconds: seconds.value, when: props.when })

const belt = ref<Belt>()
const beltRate = ref<number>()
const beltAway = ref(false)
async function onBelt(which: Belt) {
  belt.value?.release()
  belt.value = which
  beltAway.value = false
  try {
    await which.connect((bytes) => (beltRate.value = decodeHeartRate(bytes).rate))
  } catch {
    beltAway.value = true
  }
}
/** A belt's rate as the beats a finger would have counted in a quarter of a minute. */
const onSaveBelt = () =>
  emit('pulse', { beats: Math.min(80, Math.max(1, Math.round(beltRate.value! / 4))), seconds: 15, when: props.when })
const radio = radioOf(navigator)

onBeforeUnmount(() => {
  clearInterval(timer)
  belt.value?.release()
})
</script>

<template>
  <div class="pulse">
    <template v-if="stage === 'idle'">
      <svg viewBox="0 0 120 60" class="how" aria-hidden="true">
        <path d="M4 34q24-8 50-6l36 2q18 2 22 10 2 8-12 8l-44-2q-30 2-52-2z" class="arm" />
        <path d="M62 4l6 26M74 4l4 26" class="finger" />
      </svg>
      <p>{{ t('player.pulse.how') }}</p>
      <div class="row" role="group" :aria-label="t('player.pulse.long')">
        <button v-for="n in lengths" :key="n" type="button" :aria-pressed="seconds === n" @click="seconds = n">
          {{ t('player.pulse.seconds', { n }) }}
        </button>
      </div>
      <button type="button" class="main" @click="onStart">{{ t('player.pulse.start') }}</button>
    </template>
    <p v-else-if="stage === 'ready'" class="big" aria-live="polite">{{ t('player.pulse.find') }}</p>
    <p v-else-if="stage === 'count'" class="big num">{{ Math.ceil(left) }}</p>
    <template v-else>
      <label
        >{{ t('player.pulse.beats') }}
        <input v-model="beats" inputmode="numeric" maxlength="3" @keydown.enter="counted && onSave()"
      /></label>
      <p v-if="counted" aria-live="polite">{{ t('player.pulse.rate', { n: counted.rate, step: counted.step }) }}</p>
      <div class="row">
        <button type="button" class="main" :disabled="!counted" @click="onSave">{{ t('player.pulse.save') }}</button>
        <button type="button" @click="startsAt = undefined">{{ t('player.pulse.again') }}</button>
      </div>
    </template>
    <div v-if="beltRate !== undefined" class="row">
      <b class="num">{{ t('player.pulse.belt', { n: beltRate }) }}</b>
      <button type="button" @click="onSaveBelt">{{ t('player.pulse.save') }}</button>
    </div>
    <div v-else class="row quiet">
      <button v-if="radio" type="button" class="link" @click="onBelt(bluetoothBelt(radio))">
        {{ t('player.pulse.useBelt') }}
      </button>
      <button type="button" class="link" @click="onBelt(simulatedBelt())">{{ t('player.pulse.tryBelt') }}</button>
    </div>
    <p v-if="beltAway" role="alert">{{ t('player.pulse.noBelt') }}</p>
  </div>
</template>

<style scoped>
.pulse {
  display: grid;
  gap: 12px;
  justify-items: center;
  text-align: center;
}
p {
  margin: 0;
}
.how {
  width: min(260px, 60%);
}
.arm {
  fill: var(--hair);
  stroke: var(--ink);
  stroke-width: 2;
}
.finger {
  stroke: var(--ink);
  stroke-width: 7;
  stroke-linecap: round;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: center;
  align-items: center;
}
.big {
  font: 700 clamp(72px, 20vh, 200px) / 1 var(--display);
}
p.big:not(.num) {
  font-size: clamp(28px, 6vh, 48px);
}
label {
  display: grid;
  gap: 6px;
  justify-items: center;
}
</style>
