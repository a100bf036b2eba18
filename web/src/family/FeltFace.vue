<script setup lang="ts">
import { computed } from 'vue'

/** Five faces of our own, from easy to very hard: a pebble whose brow rises and whose mouth opens as work gets harder. */
const props = defineProps<{ level: number }>()
const mouth = computed(
  () =>
    [
      'M14 27Q20 33 26 27',
      'M14 28Q20 31 26 28',
      'M14 29H26',
      'M14 28Q20 25 26 28Q20 33 14 28Z',
      'M13 27Q20 20 27 27Q27 34 20 34Q13 34 13 27Z',
    ][props.level - 1],
)
const brow = computed(() => props.level - 3)
</script>

<template>
  <svg width="44" height="44" viewBox="0 0 40 40" aria-hidden="true">
    <path d="M20 3C31 3 37 11 37 21S31 37 20 37 3 31 3 21 9 3 20 3Z" class="pebble" />
    <circle cx="14" cy="18" r="2" />
    <circle cx="26" cy="18" r="2" />
    <path v-if="brow > 0" :d="`M10 14L16 ${13 - brow * 2}M30 14L24 ${13 - brow * 2}`" class="line" />
    <path :d="mouth" class="line" :class="{ open: level > 3 }" />
    <path v-if="level === 5" d="M33 8q3 4 0 6q-3-2 0-6Z" class="drop" />
  </svg>
</template>

<style scoped>
.pebble {
  fill: var(--track);
  stroke: var(--ink);
  stroke-width: 1.6;
}
circle {
  fill: var(--ink);
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linecap: round;
}
.open {
  fill: var(--ink);
}
.drop {
  fill: var(--quiet);
}
</style>
