<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type PlayOf } from '@esfuerzo/core/publication'
import type { Finding } from '../../player/usePlayer.ts'
import type { FormScreen } from '../formScreen.ts'

/** A round of throws: each is tapped where it landed, the score adds up. */
const props = defineProps<FormScreen<PlayOf<'target'>>>()
const emit = defineEmits<{ note: [finding: Finding]; finish: [] }>()
const { t } = useSentences()
const throws = ref<number[]>([])
const score = computed(() => throws.value.reduce((sum, points) => sum + points, 0))
const left = computed(() => props.play.throws - throws.value.length)

function onThrow(points: number) {
  throws.value = [...throws.value, points]
  const { block, lap } = props.step
  emit('note', { result: { block, ...(lap && { lap }), value: score.value, unit: 'score' } })
}
</script>

<template>
  <div class="target">
    <p class="digits num" data-testid="digits">{{ score }}</p>
    <h2>{{ left > 0 ? t('player.target.left', { n: left }, left) : t('player.target.over') }}</h2>
    <div v-if="left > 0" class="rings" role="group" :aria-label="t('player.target.where')">
      <button v-for="target in play.targets" :key="target.metres" type="button" @click="onThrow(target.points)">
        <b>{{ t('player.target.points', { n: target.points }, target.points) }}</b>
        <small>{{ t('player.target.metres', { n: target.metres }) }}</small>
      </button>
      <button type="button" @click="onThrow(0)">{{ t('player.target.missed') }}</button>
    </div>
    <p class="quiet">{{ t('player.target.hint') }}</p>
    <div class="buttons">
      <button v-if="throws.length" type="button" @click="throws = throws.slice(0, -1)">
        {{ t('player.target.undo') }}
      </button>
      <button type="button" class="main" :disabled="left > 0" @click="emit('finish')">{{ t('player.done') }}</button>
    </div>
  </div>
</template>

<style scoped>
.target {
  flex: 1;
  min-height: 0;
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: space-evenly;
  gap: 8px;
}
p,
h2 {
  margin: 0;
}
.digits {
  font: 700 clamp(96px, min(30cqh, 40cqw), 300px) / 0.86 var(--display);
}
.rings,
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: center;
}
.rings button {
  display: grid;
  gap: 2px;
  align-content: center;
  min-width: 96px;
  min-height: 72px;
}
</style>
