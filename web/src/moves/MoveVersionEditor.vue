<script setup lang="ts">
import { mdiPencil } from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { type OwnMove, type Version } from '@esfuerzo/core'
import { gradeItems } from '../settings/gradeItems.ts'
import { useSettings } from '../settings/store.ts'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import FieldList from '../shared/fields/FieldList.vue'
import { itemField, numberField, textField, type Field } from '../shared/fields/field.ts'
import { library } from '../repertoire/library.ts'
import { effortOf, efforts, figureIn, type Effort } from './moveDraft.ts'

/** One version of a teacher's own exercise. */
const props = defineProps<{ version: Version; own: OwnMove }>()
const emit = defineEmits<{ change: [fields: Partial<Version>]; standard: []; draw: []; remove: [] }>()
const { t } = useI18n()
const settings = useSettings()
const figure = computed(() => figureIn(props.own, props.version, library))
const figures = computed(() => [
  ...props.own.figures.map((f) => ({ value: f.id, title: t('moves.drawn') })),
  ...[...library.moves.values()].map((m) => ({ value: m.figure, title: m.name })),
])
const grades = computed(() => gradeItems(settings.gradeNames, t))
const effortItems = (Object.keys(efforts) as Effort[]).map((value) => ({
  value,
  title: t(`moves.effortWord.${value}`),
}))
const impacts = [0, 0.25, 0.5, 0.75, 1].map((value) => ({ value, title: t(`moves.landing.${value * 100}`) }))
const fields = computed((): Field[] => {
  const v = props.version
  const change = (to: Partial<Version>) => emit('change', to)
  return [
    textField(t('moves.versionName'), v.name, (name) => change({ name }), { must: true }),
    textField(t('moves.how'), v.how, (how) => change({ how }), { must: true }),
    itemField(t('moves.from'), grades.value, v.fromGrade, (fromGrade) => change({ fromGrade })),
    numberField(t('moves.seconds'), v.secondsPerRep, (secondsPerRep) => change({ secondsPerRep }), {
      decimals: true,
      min: 0.2,
      max: 30,
      step: 0.1,
    }),
    itemField(t('moves.effort'), effortItems, effortOf(v.met), (word) => change({ met: efforts[word] })),
    itemField(t('moves.landingLabel'), impacts, v.impact, (impact) => change({ impact })),
  ]
})
</script>

<template>
  <li class="card version">
    <div class="picture">
      <MoveFigure v-if="figure" :figure="figure!" :size="110" :cycle="version.secondsPerRep * (figure!.reps ?? 1)" />
      <v-btn
        :prepend-icon="mdiPencil"
        :aria-label="t('moves.drawLabel', { name: version.name })"
        @click="emit('draw')"
        >{{ t('moves.draw') }}</v-btn
      >
    </div>
    <div class="grid">
      <FieldList :fields="fields" />
      <v-autocomplete
        :model-value="version.figure ?? own.move.figure"
        :items="figures"
        :label="t('moves.figureOf')"
        @update:model-value="$event && emit('change', { figure: $event })"
      />
      <div class="row">
        <label
          ><input type="radio" name="standard" :checked="version.id === own.move.standard" @change="emit('standard')" />
          {{ t('moves.standard') }}</label
        >
        <span class="grow" />
        <v-btn
          class="plain"
          :disabled="own.move.versions.length < 2"
          :aria-label="t('moves.dropVersionLabel', { name: version.name })"
          @click="emit('remove')"
          >{{ t('details.removeGroup') }}</v-btn
        >
      </div>
    </div>
  </li>
</template>

<style scoped>
.version {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 16px;
  padding: 14px;
}
.picture {
  display: grid;
  gap: 8px;
  justify-items: center;
  align-content: start;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 12px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
}
input[type='radio'] {
  vertical-align: -3px;
}
@media (max-width: 640px) {
  .version {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
