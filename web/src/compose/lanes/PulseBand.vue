<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { pulseCurve, pulseZones } from '@esfuerzo/core/pulse'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { measuredAt } from './measuredAt.ts'
import { useLanes } from './useLanes.ts'
import { client } from '../../shared/client.ts'

/** Below the lanes: predicted pulse, minutes in each zone, and measured pulses if enough families sent some. */
defineProps<{ scale: number }>()
const PulseChart = defineAsyncComponent(() => import('./PulseChart.vue'))
const { t, n } = useI18n()
const session = useSession()
const timed = useLanes()
const cameBack = shallowRef<Parameters<typeof measuredAt>[1]>([])
onMounted(async () => {
  const id = session.id
  if (!id) return
  // A picture without dots is still valid.
  const { times } = await client('readCameBack', { params: { id } }).catch(() => ({ times: [] }))
  if (session.id === id) cameBack.value = times
})
const lanes = computed(() =>
  timed.lanes.map((lane) => {
    const steps = lane.blocks.flatMap(({ start, timed: block }) =>
      block.steps.map((step) => ({ ...step, at: start + step.at })),
    )
    return {
      group: lane.group,
      letter: lane.group.letter,
      curve: pulseCurve(steps, lane.group, library),
      measured: measuredAt({ id: lane.group.id, steps }, cameBack.value),
    }
  }),
)
const minutes = (value: number) => n(Math.round(value * 2) / 2)
</script>

<template>
  <PulseChart
    :lanes="lanes"
    :scale="scale"
    :label="t('pulse.chart')"
    :words="{ predicted: t('pulse.predicted'), vigorous: t('pulse.zone.vigorous'), moderate: t('pulse.zone.moderate') }"
  />
  <table>
    <thead class="out-of-sight">
      <tr>
        <th scope="col">{{ t('pulse.lane') }}</th>
        <th v-for="zone in pulseZones" :key="zone" scope="col">{{ t(`pulse.zone.${zone}`) }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="lane in lanes" :key="lane.group.id">
        <th scope="row"><LaneKey :letter="lane.group.letter" :name="lane.group.name" /></th>
        <td v-for="zone in pulseZones" :key="zone">
          {{ t('pulse.minutes', { n: minutes(lane.curve.minutes[zone]), zone: t(`pulse.zone.${zone}`) }) }}
        </td>
      </tr>
    </tbody>
  </table>
  <p class="quiet">{{ t('pulse.caveat') }}</p>
</template>

<style scoped>
table {
  border-collapse: collapse;
  font-size: 14px;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 2px 18px 2px 0;
}
p {
  margin: 4px 0 0;
  font-size: 13px;
}
</style>
