<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type PlayOf } from '@esfuerzo/core/publication'
import { type PlayedStep } from '@esfuerzo/core/run'
import type { Finding } from '../../player/usePlayer.ts'

/** A skill ladder: the current level, and a tap once it is done. */
const props = defineProps<{ play: PlayOf<'levels'>; step: PlayedStep }>()
const emit = defineEmits<{ note: [finding: Finding] }>()
const { t } = useSentences()
const at = computed(() => props.play.turns.findIndex((turn) => turn.station === props.step.station))
const isBonus = computed(() => props.play.bonus && at.value === props.play.turns.length - 1)
const noted = ref<number[]>([])

function onDone() {
  noted.value = [...noted.value, at.value]
  const { block, station } = props.step
  emit('note', { result: { block, ...(station && { station }), rung: at.value + 1, value: 1, unit: 'goes' } })
}
</script>

<template>
  <div class="level">
    <b>{{ isBonus ? t('player.bonus') : t('player.level', { n: at + 1 }) }}</b>
    <button type="button" :disabled="noted.includes(at)" @click="onDone">
      {{ t(noted.includes(at) ? 'player.levelNoted' : 'player.levelDone') }}
    </button>
  </div>
</template>

<style scoped>
.level {
  position: absolute;
  inset: 0 0 auto 0;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
}
b {
  font: 700 clamp(20px, 4.5cqh, 32px) / 1 var(--display);
}
</style>
