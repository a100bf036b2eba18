<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import { pulseBand, type PulseCurve } from '@esfuerzo/core/pulse'
import { laneStroke } from '../../shared/lanes/laneStrokes.ts'

use([LineChart, ScatterChart, GridComponent, MarkAreaComponent, SVGRenderer])

/** Predicted pulses of all lanes under their strips, each in its own stroke; measured pulses as dots on top. */
const props = defineProps<{
  lanes: readonly { letter: string; curve: PulseCurve; measured: readonly { at: number; beats: number }[] }[]
  /** Seconds of the whole width, as above. */
  scale: number
  label: string
  words: { predicted: string; vigorous: string; moderate: string }
}>()
const text = { color: 'var(--quiet)', fontFamily: 'Atkinson Hyperlegible', fontSize: 12 }
const option = computed(() => {
  const curves = props.lanes.map(({ letter, curve }) => ({ ...laneStroke(letter as never), ...curve }))
  const first = curves[0]!
  const measured = props.lanes.flatMap((lane) => lane.measured)
  const highest = Math.max(...curves.flatMap((c) => c.points.map((p) => p.beats)), ...measured.map((m) => m.beats))
  return {
    animation: false,
    grid: { left: 118, right: 142, top: 10, bottom: 8 },
    xAxis: { type: 'value', min: 0, max: props.scale, show: false },
    yAxis: {
      type: 'value',
      min: 60,
      max: Math.ceil((highest + pulseBand) / 20) * 20,
      axisLabel: text,
      splitLine: { lineStyle: { color: 'var(--hair)' } },
    },
    series: curves.flatMap(({ color, dash, strokes, points }, i) => [
      // How far children spread, as a light area under its line.
      ...[-pulseBand, 2 * pulseBand].map((by, part) => ({
        type: 'line',
        stack: `band ${i}`,
        stackStrategy: 'all',
        data: points.map((p) => [p.at, part === 0 ? p.beats + by : by]),
        symbol: 'none',
        silent: true,
        lineStyle: { opacity: 0 },
        ...(part === 1 && { areaStyle: { color, opacity: 0.07 } }),
      })),
      {
        type: 'line',
        data: points.map((p) => [p.at, p.beats]),
        symbol: 'none',
        silent: true,
        lineStyle: {
          color,
          width: strokes.length > 1 ? 4.5 : strokes[0]!.width - 1,
          type: dash ? dash.split(' ').map(Number) : 'solid',
        },
        ...(i === 0 && {
          markArea: {
            silent: true,
            itemStyle: { color: 'transparent', borderColor: 'var(--line)', borderWidth: 1, borderType: [3, 3] },
            label: { ...text, position: 'insideTopLeft' },
            data: [
              [{ yAxis: first.from.vigorous, name: props.words.vigorous }, { yAxis: first.top }],
              [{ yAxis: first.from.moderate, name: props.words.moderate }, { yAxis: first.from.vigorous }],
            ],
          },
        }),
      },
      // A double line is a wide one with the card's color inside.
      ...(strokes.length > 1
        ? [
            {
              type: 'line',
              data: points.map((p) => [p.at, p.beats]),
              symbol: 'none',
              silent: true,
              lineStyle: { color: 'var(--card)', width: 1.5 },
            },
          ]
        : []),
      {
        type: 'scatter',
        data: props.lanes[i]!.measured.map((m) => [m.at, m.beats]),
        symbolSize: 7,
        silent: true,
        itemStyle: { color: 'var(--card)', borderColor: color, borderWidth: 2 },
      },
    ]),
  }
})
</script>

<template>
  <div class="chart" role="img" :aria-label="label">
    <VChart :option="option" :init-options="{ renderer: 'svg' }" autoresize aria-hidden="true" />
    <span class="predicted" aria-hidden="true">{{ words.predicted }}</span>
  </div>
</template>

<style scoped>
.chart {
  position: relative;
  height: 170px;
}
.predicted {
  position: absolute;
  left: 0;
  top: 12px;
  width: 82px;
  font-size: 13px;
  color: var(--quiet);
}
</style>
