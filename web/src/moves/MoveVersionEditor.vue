<script setup lang="ts">
import { mdiPencil } from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { type OwnMove, type Version } from '@esfuerzo/core'
import { gradeItems } from '../settings/gradeItems.ts'
import { useSettings } from '../settings/store.ts'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import TextField from '../shared/TextField.vue'
import { library } from '../repertoire/library.ts'
import { effortOf, efforts, figureIn, type Effort } from './moveDraft.ts'

/** One version of a move of the teacher's own. */
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
      <TextField
        :model-value="version.name"
        :label="t('moves.versionName')"
        must
        @update:model-value="(name) => emit('change', { name })"
      />
      <TextField
        :model-value="version.how"
        :label="t('moves.how')"
        must
        @update:model-value="(how) => emit('change', { how })"
      />
      <v-select
        :model-value="version.fromGrade"
        :items="grades"
        :label="t('moves.from')"
        @update:model-value="emit('change', { fromGrade: $event })"
      />
      <v-text-field
        :model-value="version.secondsPerRep"
        type="number"
        min="0.2"
        max="30"
        step="0.1"
        :label="t('moves.seconds')"
        @update:model-value="Number($event) > 0 && emit('change', { secondsPerRep: Number($event) })"
      />
      <v-select
        :model-value="effortOf(version.met)"
        :items="effortItems"
        :label="t('moves.effort')"
        @update:model-value="(word: Effort) => emit('change', { met: efforts[word] })"
      />
      <v-select
        :model-value="version.impact"
        :items="impacts"
        :label="t('moves.landingLabel')"
        @update:model-value="emit('change', { impact: $event })"
      />
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
  accent-color: var(--action);
  width: 18px;
  height: 18px;
  vertical-align: -3px;
}
@media (max-width: 640px) {
  .version {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
