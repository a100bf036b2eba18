<script setup lang="ts">
import { computed } from 'vue'
import { doseWords } from '@esfuerzo/core'
import { type Figure } from '@esfuerzo/core/figure'
import { type PlayedTurn, type Publication } from '@esfuerzo/core/publication'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import type { PlayerWords } from '../player/useWords.ts'

/** One task in a played form: its figure, its name, how many. */
const props = defineProps<{
  turn: PlayedTurn
  /** Reps asked for, if they are not the turn's own amount. */
  amount?: number | undefined
  publication: Publication
  words: PlayerWords
  pace: number
  paused: boolean
}>()
const version = computed(() =>
  props.publication.moves.find((m) => m.id === props.turn.move)?.versions.find((v) => v.id === props.turn.version),
)
const figure = computed(
  () => props.publication.figures.find((f) => f.id === version.value?.figure) as Figure | undefined,
)
const name = computed(() => props.turn.story ?? props.words.names(props.turn.move, props.turn.version))
const dose = computed(() => {
  const { amount, unit } = props.turn
  if (props.amount !== undefined) return doseWords(props.amount, 'reps', props.words.language.value)
  return amount !== undefined && unit ? doseWords(amount, unit, props.words.language.value) : ''
})
const cycle = computed(() => (version.value?.secondsPerRep ?? 2) * (figure.value?.reps ?? 1) * props.pace)
</script>

<template>
  <div class="turn">
    <div class="picture">
      <MoveFigure v-if="figure" :figure="figure" :size="1000" both :cycle="cycle" :paused="paused" />
    </div>
    <h2>{{ name }}</h2>
    <p v-if="dose" class="dose">{{ dose }}</p>
  </div>
</template>

<style scoped>
.turn {
  flex: 1;
  min-height: 0;
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
}
.picture {
  position: relative;
  flex: 1;
  min-height: 60px;
  width: 100%;
}
.picture :deep(svg) {
  position: absolute;
  inset: 0;
  height: 100%;
  width: 100%;
}
h2 {
  font-size: clamp(22px, 5cqh, 38px);
}
.dose {
  margin: 0;
  font: 700 clamp(24px, 6cqh, 48px) / 1.1 var(--display);
}
</style>
