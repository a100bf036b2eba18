<script setup lang="ts">
import { computed } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type PlayOf } from '@esfuerzo/core/publication'
import { type PlayedStep } from '@esfuerzo/core/run'

/** The ladder next to the figure, with the child's current rung. */
const props = defineProps<{ play: PlayOf<'ladder'>; step: PlayedStep }>()
const { t } = useSentences()
const at = computed(() => (props.step.lap ?? 1) - 1)
</script>

<template>
  <ol class="ladder" :aria-label="t('player.rung', { n: at + 1, of: play.rungs.length })">
    <li v-for="(rung, i) in play.rungs" :key="i" :class="{ on: i === at, over: i < at }">{{ rung }}</li>
  </ol>
</template>

<style scoped>
.ladder {
  position: absolute;
  inset: 0 auto 0 0;
  margin: 0;
  padding: 0 4px;
  list-style: none;
  display: flex;
  flex-direction: column-reverse;
  justify-content: center;
  border: solid var(--ink);
  border-width: 0 3px;
  font: 700 16px/1 var(--display);
}
li {
  flex: 0 1 34px;
  min-width: 40px;
  min-height: 12px;
  display: grid;
  place-items: center;
  border-top: 3px solid var(--ink);
}
li.on {
  background: var(--action);
  color: var(--on-action);
}
li.over {
  background: var(--hair);
}
</style>
