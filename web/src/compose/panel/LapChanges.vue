<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { limits, type Cell, type LapChange, type Move } from '@esfuerzo/core'
import NumberField from '../../shared/fields/NumberField.vue'

/** What changes at a station from a later lap on: another version, another dose. */
const props = defineProps<{ move: Move; cell: Cell; laps: number }>()
const emit = defineEmits<{ change: [fromLap: LapChange[] | undefined] }>()
const { t } = useI18n()

const changes = computed(() => props.cell.fromLap ?? [])
const versions = computed(() => props.move.versions.map((v) => ({ value: v.id, title: v.name })))
const nextLap = computed(() => (changes.value.at(-1)?.lap ?? 1) + 1)
const canAdd = computed(() => nextLap.value <= Math.min(props.laps, limits.laps) && changes.value.length < 6)

function set(i: number, fields: Partial<LapChange>) {
  emit(
    'change',
    changes.value.map((c, k) => (k === i ? { ...c, ...fields } : c)),
  )
}
function onDose(i: number, n: number) {
  const unit = changes.value[i]!.dose?.unit ?? props.cell.dose?.unit ?? 'reps'
  set(i, { dose: { unit, amount: n } })
}
function onAdd() {
  // Tired children need an easier version; the teacher can choose another.
  const at = props.move.versions.findIndex((v) => v.id === props.cell.version)
  emit('change', [...changes.value, { lap: nextLap.value, version: props.move.versions[Math.max(0, at - 1)]!.id }])
}
function onRemove(i: number) {
  const left = changes.value.filter((_, k) => k !== i)
  emit('change', left.length ? left : undefined)
}
const doseOf = (change: LapChange) => {
  const amount = change.dose?.amount
  return typeof amount === 'number' ? amount : undefined
}
</script>

<template>
  <fieldset>
    <legend>{{ t('lapChange.title') }}</legend>
    <div v-for="(change, i) in changes" :key="i" class="change">
      <NumberField
        :model-value="change.lap"
        :min="(changes[i - 1]?.lap ?? 1) + 1"
        :max="(changes[i + 1]?.lap ?? limits.laps + 1) - 1"
        :label="t('lapChange.lap')"
        @update:model-value="set(i, { lap: $event })"
      />
      <v-select
        class="version"
        :model-value="change.version ?? cell.version"
        :items="versions"
        :label="t('station.version')"
        @update:model-value="set(i, { version: $event })"
      />
      <NumberField
        v-if="cell.dose"
        :model-value="doseOf(change) ?? 10"
        :min="1"
        :label="t('station.amount')"
        @update:model-value="onDose(i, $event)"
      />
      <v-btn
        class="plain"
        size="small"
        :icon="mdiClose"
        :aria-label="t('lapChange.remove', { n: change.lap })"
        @click="onRemove(i)"
      />
    </div>
    <v-btn v-if="canAdd" @click="onAdd">{{ t('lapChange.add', { n: nextLap }) }}</v-btn>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 8px;
  justify-items: start;
}
legend {
  padding: 0 0 4px;
  font-weight: 700;
}
.change {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr)) auto;
  gap: 8px 6px;
  width: 100%;
  align-items: center;
}
/* A version's name is shown in full. */
.change .version {
  grid-column: 1 / -1;
  grid-row: 2;
}
.change .v-btn {
  grid-column: 3;
}
</style>
