<script setup lang="ts">
import { computed } from 'vue'
import { laneStroke } from './laneStrokes.ts'

/** Draws a group's line around its positioned parent. */
const props = defineProps<{ letter: string }>()
const stroke = computed(() => laneStroke(props.letter))
</script>

<template>
  <svg class="outline" aria-hidden="true">
    <rect
      v-for="s in stroke.strokes"
      :key="s.offset"
      :x="3 + s.offset"
      :y="3 + s.offset"
      rx="3"
      fill="none"
      :stroke="stroke.color"
      :style="{ width: `calc(100% - ${6 + 2 * s.offset}px)`, height: `calc(100% - ${6 + 2 * s.offset}px)` }"
      :stroke-width="s.width * 0.8"
      :stroke-dasharray="stroke.dash"
      stroke-linecap="round"
    />
  </svg>
</template>

<style scoped>
.outline {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
</style>
