<script setup lang="ts">
import { LinesChart, ScatterChart } from 'echarts/charts'
import { GridComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, ref } from 'vue'
import VChart from 'vue-echarts'

use([LinesChart, ScatterChart, GridComponent, SVGRenderer])

/** Each child's own arrow from before to after, in alias order and without a name: a click shows whose it is. */
const props = defineProps<{
  arrows: readonly { before: number; after: number; text: string }[]
  unit: string
  label: string
  hint: string
}>()
const whose = ref('')
/** A little space on both sides of all values, at round numbers. */
const ends = computed(() => {
  const all = props.arrows.flatMap(({ before, after }) => [before, after])
  return { min: Math.floor(Math.min(...all)) - 1, max: Math.ceil(Math.max(...all)) + 1 }
})
const text = { color: 'var(--quiet)', fontFamily: 'Atkinson Hyperlegible', fontSize: 12 }
const option = computed(() => ({
  animation: false,
  grid: { left: 10, right: 16, top: 8, bottom: 36 },
  xAxis: {
    type: 'value',
    ...ends.value,
    position: 'bottom',
    name: props.unit,
    nameLocation: 'middle',
    nameGap: 22,
    nameTextStyle: text,
    axisLabel: text,
    axisLine: { onZero: false, lineStyle: { color: 'var(--ink)' } },
    splitLine: { lineStyle: { color: 'var(--hair)' } },
  },
  yAxis: { type: 'value', show: false, min: -props.arrows.length, max: 1 },
  series: [
    {
      type: 'lines',
      coordinateSystem: 'cartesian2d',
      symbol: ['none', 'arrow'],
      symbolSize: 9,
      lineStyle: { color: 'var(--ink)', width: 2, opacity: 1 },
      // A child without a change is a dot.
      data: props.arrows.flatMap(({ before, after }, i) =>
        before === after
          ? []
          : {
              i,
              coords: [
                [before, -i],
                [after, -i],
              ],
            },
      ),
    },
    {
      type: 'scatter',
      symbolSize: 8,
      itemStyle: { color: 'var(--card)', borderColor: 'var(--ink)', borderWidth: 2 },
      data: props.arrows.map(({ before }, i) => [before, -i]),
    },
  ],
}))
/** The position of an arrow, or the height of a dot. */
function onClick({ data }: { data?: unknown }) {
  const i = Array.isArray(data) ? -Number(data[1]) : (data as { i?: number } | undefined)?.i
  whose.value = props.arrows[i ?? -1]?.text ?? ''
}
</script>

<template>
  <div class="chart" role="img" :aria-label="label" :style="{ height: `${60 + arrows.length * 11}px` }">
    <VChart :option="option" :init-options="{ renderer: 'svg' }" autoresize aria-hidden="true" @click="onClick" />
  </div>
  <p class="quiet no-paper" role="status">{{ whose || hint }}</p>
</template>

<style scoped>
.chart {
  margin-top: 8px;
  max-width: 640px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
p {
  margin: 4px 0 0;
  font-size: 14px;
}
</style>
