<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { type Pulse } from '@esfuerzo/core/run'
import { audioClock } from '../audioClock.ts'
import PulseHelper from '../PulseHelper.vue'
import { useSentences } from '../../shared/sentences.ts'

/** The counts of a pulse test, one after the other: at rest twice with their mean, after work at once and after a minute. */
const props = defineProps<{ counts: readonly Pulse['when'][]; seconds: number | undefined }>()
const emit = defineEmits<{ done: [pulses: Pulse[]] }>()
const { t } = useSentences()
/** At rest it is counted twice: half a minute each time. */
const tries = computed(() => (props.counts.length === 1 && props.seconds === 30 ? 2 : props.counts.length))
const kept = ref<Pulse[]>([])
/** When the next count is due, by the device's clock. */
const due = ref<number>()
const left = ref(0)
let timer: ReturnType<typeof setInterval> | undefined
function look() {
  left.value = Math.ceil((due.value ?? 0) - audioClock.now())
  if (left.value > 0) return
  clearInterval(timer)
  due.value = undefined
}
onBeforeUnmount(() => clearInterval(timer))

function onPulse(pulse: Pulse) {
  const first = kept.value[0]
  kept.value = [...kept.value, pulse]
  if (kept.value.length < tries.value) {
    if (props.counts[kept.value.length] !== 'minuteAfter') return
    due.value = audioClock.now() + 60 - pulse.seconds
    timer = setInterval(look, 200)
    look()
    return
  }
  const mean = first && props.counts.length === 1 && first !== pulse && first.seconds === pulse.seconds
  emit('done', mean ? [{ ...pulse, beats: Math.round((first.beats + pulse.beats) / 2) }] : [...kept.value])
}
const now = computed(() => props.counts[Math.min(kept.value.length, props.counts.length - 1)]!)
</script>

<template>
  <slot />
  <p v-if="tries > 1" class="quiet">{{ t('player.measure.pulseStep', { n: kept.length + 1, of: tries }) }}</p>
  <div v-if="due !== undefined" class="wait">
    <p aria-live="polite">{{ t('player.measure.wait', { n: Math.max(0, left) }) }}</p>
    <button type="button" @click="due = undefined">{{ t('player.measure.now') }}</button>
  </div>
  <PulseHelper v-else :key="kept.length" :when="now" :seconds="seconds" @pulse="onPulse" />
</template>

<style scoped>
p {
  margin: 0;
  max-width: 36em;
}
.wait {
  display: grid;
  gap: 12px;
  justify-items: center;
}
</style>
