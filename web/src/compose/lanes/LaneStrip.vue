<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useId, useTemplateRef } from 'vue'
import { stepAt, type LaneView } from '@esfuerzo/core'
import { lanePicture } from './lanes.ts'

const props = defineProps<{ lane: LaneView; scale: number; label: string }>()
type Found = NonNullable<ReturnType<typeof stepAt>>
/** `point`: the step under the pointer and its distance from the left, in pixels; `go`: it was clicked. */
const emit = defineEmits<{ point: [found: Found | undefined, left: number]; go: [step: Found['step']] }>()
const height = 18
const root = useTemplateRef('root')
const { width } = useElementSize(root)
const picture = computed(() => lanePicture(props.lane, width.value / props.scale, height))
const hatch = useId()

const under = (event: MouseEvent) => stepAt(props.lane, (event.offsetX / width.value) * props.scale)
function onClick(event: MouseEvent) {
  const found = under(event)
  if (found) emit('go', found.step)
}
</script>

<!-- eslint-disable vuejs-accessibility/no-static-element-interactions, vuejs-accessibility/mouse-events-have-key-events -- the same rows are
     reached by keys in the running order -->
<template>
  <div
    ref="root"
    class="strip"
    role="img"
    :aria-label="label"
    @mousemove="emit('point', under($event), $event.offsetX)"
    @mouseleave="emit('point', undefined, 0)"
    @click="onClick"
  >
    <svg :width="width" :height="height" aria-hidden="true">
      <defs>
        <pattern :id="hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" class="hatch" />
        </pattern>
      </defs>
      <path :d="picture.blocks" class="open" />
      <path :d="picture.talk" :fill="`url(#${hatch})`" />
      <path :d="picture.work" class="work" />
      <path :d="picture.blocks" class="edge" />
    </svg>
  </div>
</template>

<style scoped>
.strip {
  height: 18px;
  cursor: pointer;
  overflow: hidden;
}
svg {
  display: block;
  pointer-events: none;
}
.open {
  fill: var(--card);
}
.work {
  fill: var(--ink);
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.hatch {
  stroke: var(--quiet);
  stroke-width: 2;
}
</style>
