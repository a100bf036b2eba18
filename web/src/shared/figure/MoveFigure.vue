<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, toRef, useTemplateRef } from 'vue'
import { drawFigure, secondView, type Figure } from '@esfuerzo/core/figure'
import FigureDrawing from './FigureDrawing.vue'
import { useChild } from './useChild.ts'
import { useFigure } from './useFigure.ts'

interface Props {
  figure: Figure
  /** Height and width in CSS pixels. */
  size?: number
  /** Seconds of one cycle; 0 shows the standard pose without moving. */
  cycle?: number
  paused?: boolean
  /** An exercise seen from two sides: side by side if there is room, otherwise one after the other, one cycle each. */
  both?: boolean
}
const props = withDefaults(defineProps<Props>(), { size: 40, cycle: 0, paused: false, both: false })

const root = useTemplateRef('root')
const { moment, moving } = useFigure(toRef(props, 'figure'), toRef(props, 'cycle'), toRef(props, 'paused'), root)
const child = useChild()
const second = computed(() => (props.both ? secondView(props.figure) : undefined))
// Some pages have hundreds of figures: only those with two sides have their size observed.
const box = useElementSize(computed(() => (second.value ? root.value : null)))
/** A still figure always shows both sides. */
const beside = computed(() => second.value && (!moving.value || box.width.value > 1.5 * box.height.value))
const shown = computed(() => {
  const views = [props.figure, second.value].filter((view) => view !== undefined)
  return beside.value ? views : [views[Math.floor(moment.value) % views.length]!]
})
const drawings = computed(() => shown.value.map((view) => drawFigure(view, moment.value, child.value)))
</script>

<template>
  <svg
    ref="root"
    class="figure"
    :width="size"
    :height="size"
    :viewBox="`-4 -4 ${beside ? 212 : 108} 108`"
    aria-hidden="true"
  >
    <g v-for="(drawing, i) in drawings" :key="i" :transform="i ? 'translate(104 0)' : undefined">
      <FigureDrawing :drawing="drawing" :child="child" />
    </g>
  </svg>
</template>

<style scoped>
.figure {
  display: block;
  flex: none;
  overflow: visible;
}
</style>
