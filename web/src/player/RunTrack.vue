<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { laneStroke } from '../shared/lanes/laneStrokes.ts'
import { trackGeometry } from './trackGeometry.ts'

/** A running track from above, around the player: a marker runs it once per step, filled behind it for work. */
const props = defineProps<{ letter: string; share: number; work: boolean }>()
const root = useTemplateRef('root')
const { width, height } = useElementSize(root)
const stroke = computed(() => laneStroke(props.letter))
const track = computed(() => trackGeometry(width.value, height.value))
/** A group's line next to the middle of the lane: two for a double one. */
const lines = computed(() =>
  stroke.value.strokes.map((s) => ({ ...s, path: trackGeometry(width.value, height.value, s.offset * 1.5).path })),
)
const marker = computed(() => track.value.pointAt(props.share))
</script>

<template>
  <div ref="root" class="track" aria-hidden="true">
    <svg v-if="width" :width="width" :height="height">
      <path :d="track.path" class="bed" :stroke-width="track.lane" />
      <path
        v-if="work"
        :d="track.path"
        fill="none"
        :stroke="stroke.color"
        :stroke-width="track.lane"
        :stroke-dasharray="`${share * track.length} ${track.length}`"
      />
      <path v-if="work" :d="track.path" class="middle" />
      <template v-else>
        <path
          v-for="s in lines"
          :key="s.offset"
          :d="s.path"
          fill="none"
          :stroke="stroke.color"
          :stroke-width="s.width"
          :stroke-dasharray="stroke.dash"
          stroke-linecap="round"
        />
      </template>
      <circle :cx="marker.x" :cy="marker.y" :r="track.lane * 0.55" class="marker" :class="{ work }" />
    </svg>
  </div>
</template>

<style scoped>
.track {
  position: absolute;
  inset: 0;
  overflow: hidden;
  pointer-events: none;
}
.bed {
  fill: none;
  stroke: var(--track);
}
.middle {
  fill: none;
  stroke: var(--card);
  stroke-width: 2;
  stroke-dasharray: 12 10;
  opacity: 0.7;
}
.marker {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 5;
}
.marker.work {
  fill: var(--ink);
  stroke: var(--card);
}
</style>
