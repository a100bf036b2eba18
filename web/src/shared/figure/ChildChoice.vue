<script setup lang="ts">
import { children, drawFigure, type Child, type Figure } from '@esfuerzo/core/figure'
import FigureDrawing from './FigureDrawing.vue'
import { useChild } from './useChild.ts'

/** Chooses the child in the drawings on this device, by picture. */
defineProps<{ label: string; names: Record<Child, string> }>()
const child = useChild()
const standing: Figure = {
  id: 'standing',
  view: 'front',
  poses: [{ torso: 180, armR: [16, 10], armL: [-16, -10], legR: [5, 4], legL: [-5, -4] }],
}
</script>

<template>
  <fieldset>
    <legend>{{ label }}</legend>
    <label v-for="one in children" :key="one" :class="{ chosen: child === one }">
      <input v-model="child" type="radio" name="child" :value="one" class="out-of-sight" />
      <svg width="72" height="72" viewBox="16 10 68 90" aria-hidden="true">
        <FigureDrawing :drawing="drawFigure(standing, 0, one)" :child="one" />
      </svg>
      <span>{{ names[one] }}</span>
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
legend {
  padding: 0 0 6px;
}
label {
  display: grid;
  justify-items: center;
  gap: 2px;
  padding: 6px 10px;
  border: 2px solid var(--line);
  border-radius: var(--corner);
  cursor: pointer;
}
.chosen {
  border-color: var(--action);
  background: var(--action-soft);
}
label:has(:focus-visible) {
  outline: 3px solid var(--action);
  outline-offset: 2px;
}
</style>
