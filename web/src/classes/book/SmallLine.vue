<script setup lang="ts">
import { computed } from 'vue'

/** A child's own values in the order they were done, as a sparkline with its own scale. */
const props = defineProps<{ values: readonly number[] }>()
const width = 36
const height = 14
const points = computed(() => {
  const [low, high] = [Math.min(...props.values), Math.max(...props.values)]
  const x = (i: number) => 2 + (i * (width - 4)) / (props.values.length - 1)
  const y = (v: number) => (high === low ? height / 2 : height - 2 - ((v - low) * (height - 4)) / (high - low))
  return props.values.map((v, i) => [x(i), y(v)] as const)
})
const line = computed(() => points.value.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' '))
</script>

<template>
  <svg :width="width" :height="height" aria-hidden="true">
    <polyline :points="line" fill="none" stroke="var(--far)" stroke-width="1.5" />
    <circle :cx="points.at(-1)![0]" :cy="points.at(-1)![1]" r="2" fill="var(--ink)" />
  </svg>
</template>
