<script setup lang="ts">
import { floorY, type Drawing, type Point } from '@esfuerzo/core/figure'

/**
 * A drawn figure on its floor, inside a picture of −4 −4 108 108. Tones are attributes, not classes: a class that changes on an
 * element inside a picture cannot be patched.
 */
defineProps<{ drawing: Drawing }>()
const path = (points: readonly Point[]) =>
  points.map((p) => `${(p.x * 100).toFixed(1)},${(p.y * 100).toFixed(1)}`).join(' ')
</script>

<template>
  <g class="drawing">
    <line x1="6" :y1="floorY * 100" x2="94" :y2="floorY * 100" class="floor" />
    <polyline
      v-for="(s, i) in drawing.behind"
      :key="i"
      :points="path(s.points)"
      :data-tone="s.tone"
      :stroke-width="s.width * 100"
    />
    <circle :cx="drawing.head.at.x * 100" :cy="drawing.head.at.y * 100" :r="drawing.head.radius * 100" class="head" />
    <polyline
      v-for="(s, i) in drawing.front"
      :key="`f${i}`"
      :points="path(s.points)"
      :data-tone="s.tone"
      :stroke-width="s.width * 100"
    />
  </g>
</template>

<style scoped>
polyline {
  fill: none;
  stroke: var(--ink);
  stroke-linecap: round;
  stroke-linejoin: round;
}
[data-tone='far'] {
  stroke: var(--far);
}
[data-tone='prop'] {
  stroke: var(--prop);
}
[data-tone='gap'] {
  stroke: var(--figure-ground, var(--card));
}
.head {
  fill: var(--ink);
}
.floor {
  stroke: var(--line);
  stroke-width: 2;
}
</style>
