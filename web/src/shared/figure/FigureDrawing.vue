<script setup lang="ts">
import { floorY, type Child, type Drawing, type Point } from '@esfuerzo/core/figure'

/**
 * A drawn figure on its floor, in a picture of −4 −4 108 108. Tones are attributes, not classes: a class that changes on an element inside
 * a picture cannot be patched.
 */
defineProps<{ drawing: Drawing; child?: Child }>()
const path = (points: readonly Point[]) =>
  points.map((p) => `${(p.x * 100).toFixed(1)},${(p.y * 100).toFixed(1)}`).join(' ')
</script>

<template>
  <g class="drawing" :data-child="child">
    <line x1="6" :y1="floorY * 100" x2="94" :y2="floorY * 100" class="floor" />
    <polyline
      v-for="(s, i) in drawing"
      :key="i"
      :points="path(s.points)"
      :data-tone="s.tone"
      :stroke-width="s.width * 100"
    />
  </g>
</template>

<style scoped>
polyline {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}
[data-child='tail'] {
  --child-skin: light-dark(#c08a63, #dcb591);
  --child-far-skin: light-dark(#dfc3ad, #8f7763);
  --child-shirt: light-dark(#a8502f, #e59a7c);
  --child-far-shirt: light-dark(#d9ac99, #8a5f4d);
}
[data-child='curls'] {
  --child-skin: light-dark(#75492f, #b07f5e);
  --child-far-skin: light-dark(#b2947f, #6e5240);
  --child-shirt: light-dark(#4c5f9e, #98a9e0);
  --child-far-shirt: light-dark(#aeb7d6, #5a678c);
}
[data-tone='skin'] {
  stroke: var(--child-skin);
}
[data-tone='shirt'] {
  stroke: var(--child-shirt);
}
[data-tone='shorts'] {
  stroke: var(--child-shorts);
}
[data-tone='ink'] {
  stroke: var(--child-hair);
}
[data-tone='farSkin'] {
  stroke: var(--child-far-skin);
}
[data-tone='farShirt'] {
  stroke: var(--child-far-shirt);
}
[data-tone='farShorts'] {
  stroke: var(--child-far-shorts);
}
[data-tone='farInk'] {
  stroke: var(--child-far-hair);
}
[data-tone='eye'] {
  stroke: var(--child-eye);
}
[data-tone='prop'] {
  stroke: var(--prop);
}
[data-tone='gap'] {
  stroke: var(--figure-ground, var(--card));
}
.floor {
  stroke: var(--line);
  stroke-width: 2;
}
</style>
