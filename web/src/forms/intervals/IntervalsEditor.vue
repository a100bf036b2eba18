<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { limits, mapGroups, sameValue, setBlock, valueFor, type BlockOf, type Lap, type Scope } from '@esfuerzo/core'
import NumberField from '../../shared/fields/NumberField.vue'
import { useEdits } from '../../compose/edits/useEdits.ts'
import FactFields from '../FactFields.vue'
import LapFields from './LapFields.vue'

type Intervals = BlockOf<'intervals'>
const props = defineProps<{ block: Intervals; scope: Scope }>()
const { t } = useI18n()
const edits = useEdits()

const laps = computed<readonly Lap[]>(() =>
  props.scope === 'all' ? props.block.laps.all : valueFor(props.block.laps, props.scope[0]!),
)
const alike = computed(() => laps.value.every((lap) => sameValue(lap, laps.value[0])))
const change = (next: (block: Intervals) => Intervals, what: string) =>
  edits.edit((w) => setBlock(w, props.block.id, 'intervals', next), `${what}:${props.block.id}:${String(props.scope)}`)
const setLaps = (next: (now: Lap[]) => Lap[], what: string) =>
  change((b) => ({ ...b, laps: mapGroups(b.laps, props.scope, next) }), what)

const setCount = (n: number) => setLaps((now) => Array.from({ length: n }, (_, i) => now[i] ?? now.at(-1)!), 'laps')
/** One lap's value, or every lap's while they are equal. */
const setLap = (at: number | 'all', field: keyof Lap, value: number) =>
  setLaps((now) => now.map((lap, i) => (at === 'all' || at === i ? { ...lap, [field]: value } : lap)), `${field}-${at}`)
/** Laps start out ten seconds apart, so that they differ. */
const setAlike = (on: boolean) =>
  setLaps((now) => (on ? now.map(() => now[0]!) : now.map((lap, i) => ({ ...lap, work: lap.work + i * 10 }))), 'alike')
</script>

<template>
  <div class="laps">
    <NumberField
      :model-value="laps.length"
      :min="1"
      :max="limits.laps"
      :label="t('intervals.laps')"
      @update:model-value="setCount"
    />
    <LapFields v-if="alike" :lap="laps[0]!" @set="(field, seconds) => setLap('all', field, seconds)" />
    <template v-for="(lap, i) in laps" v-else :key="i">
      <span class="lap quiet">{{ t('intervals.lap', { n: i + 1 }) }}</span>
      <LapFields :lap="lap" @set="(field, seconds) => setLap(i, field, seconds)" />
    </template>
  </div>
  <v-switch
    v-if="laps.length > 1"
    :model-value="alike"
    :label="t('intervals.alike')"
    @update:model-value="setAlike(!!$event)"
  />
  <FactFields :block="block" :scope="scope" :without="['laps']" />
</template>

<style scoped>
.laps {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 10px;
  align-items: start;
}
.lap {
  grid-column: 1;
  padding-top: 9px;
}
</style>
