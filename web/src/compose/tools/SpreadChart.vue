<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import { laneStroke } from '../../shared/lanes/laneStrokes.ts'
import { spreadCurve, type Curve } from './spreadCurve.ts'

use([LineChart, GridComponent, MarkLineComponent, SVGRenderer])

/** When children finish: a hill for each lane in its line style. All numbers are in words beside it. */
const props = defineProps<{ curves: Curve[]; finish?: number; label: string; minutes: string }>()
const option = computed(() => {
  const curves = props.curves.map((curve) => ({ ...laneStroke(curve.letter), points: spreadCurve(curve) }))
  const ends = curves.flatMap(({ points }) => points.map(([minute]) => minute))
  return {
    animation: false,
    grid: { left: 6, right: 12, top: 14, bottom: 34 },
    xAxis: {
      type: 'value',
      min: Math.floor(Math.min(...ends, ...(props.finish ? [props.finish / 60] : []))),
      max: Math.ceil(Math.max(...ends, ...(props.finish ? [props.finish / 60] : []))),
      minInterval: 1,
      name: props.minutes,
      nameLocation: 'middle',
      nameGap: 20,
      nameTextStyle: { color: 'var(--quiet)', fontFamily: 'Atkinson Hyperlegible', fontSize: 12 },
      axisLabel: { color: 'var(--quiet)', fontFamily: 'Atkinson Hyperlegible', fontSize: 12 },
      axisLine: { lineStyle: { color: 'var(--ink)' } },
      splitLine: { show: false },
    },
    yAxis: { type: 'value', show: false, min: 0 },
    series: curves.flatMap(({ color, dash, strokes, points }, i) =>
      strokes.map((stroke, s) => ({
        type: 'line',
        data: points,
        symbol: 'none',
        silent: true,
        // A double line is a wide one with the card's color inside.
        lineStyle: {
          color: s === 0 ? color : 'var(--card)',
          width: strokes.length > 1 ? (s === 0 ? 5 : 2) : stroke.width,
          type: dash ? dash.split(' ').map(Number) : 'solid',
          cap: 'round',
        },
        ...(i === 0 &&
          s === 0 &&
          props.finish && {
            markLine: {
              symbol: 'none',
              label: { show: false },
              lineStyle: { color: 'var(--ink)', type: [4, 4], width: 2 },
              data: [{ xAxis: props.finish / 60 }],
            },
          }),
      })),
    ),
  }
})
</script>

<template>
  <div class="chart" role="img" :aria-label="label">
    <VChart :option="option" :init-options="{ renderer: 'svg' }" autoresize aria-hidden="true" />
  </div>
</template>

<style scoped>
.chart {
  height: 150px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
</style>
