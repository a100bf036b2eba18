<script setup lang="ts">
import { computed } from 'vue'
import { laneStroke } from './laneStrokes.ts'

const props = defineProps<{ letter: string; name?: string }>()
const stroke = computed(() => laneStroke(props.letter))
</script>

<template>
  <span class="key">
    <svg width="22" height="10" viewBox="0 0 22 10" aria-hidden="true">
      <path
        v-for="s in stroke.strokes"
        :key="s.offset"
        :d="`M2 ${5 + s.offset}H20`"
        :stroke="stroke.color"
        :stroke-width="s.width"
        :stroke-dasharray="stroke.dash"
        stroke-linecap="round"
      />
    </svg>
    <b>{{ letter }}</b>
    <span v-if="name" class="name">{{ name }}</span>
  </span>
</template>

<style scoped>
.key {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  white-space: nowrap;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
