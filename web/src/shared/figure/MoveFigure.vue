<script setup lang="ts">
import { computed, toRef, useTemplateRef } from 'vue'
import { drawFigure, type Figure } from '@esfuerzo/core/figure'
import FigureDrawing from './FigureDrawing.vue'
import { useChild } from './useChild.ts'
import { useFigure } from './useFigure.ts'

interface Props {
  figure: Figure
  /** Height and width in CSS pixels. */
  size?: number
  /** Seconds of one cycle; 0 stands still in the pose that stands for the move. */
  cycle?: number
  paused?: boolean
}
const props = withDefaults(defineProps<Props>(), { size: 40, cycle: 0, paused: false })

const root = useTemplateRef('root')
const { moment } = useFigure(toRef(props, 'figure'), toRef(props, 'cycle'), toRef(props, 'paused'), root)
const child = useChild()
const drawing = computed(() => drawFigure(props.figure, moment.value, child.value))
</script>

<template>
  <svg ref="root" class="figure" :width="size" :height="size" viewBox="-4 -4 108 108" aria-hidden="true">
    <FigureDrawing :drawing="drawing" :child="child" />
  </svg>
</template>

<style scoped>
.figure {
  display: block;
  flex: none;
  overflow: visible;
}
</style>
