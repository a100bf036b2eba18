<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import NumberField from '../shared/fields/NumberField.vue'
import { useSettings } from '../settings/store.ts'
import type { ClassDraft } from './classDraft.ts'

/** A class's fields: name, grades, end of the year, and how long results are kept after it. */
const draft = defineModel<ClassDraft>({ required: true })
const { t } = useI18n()
const settings = useSettings()
void settings.load()
const set = (change: Partial<ClassDraft>) => (draft.value = { ...draft.value, ...change })
const toggle = (grade: number) =>
  set({
    grades: draft.value.grades.includes(grade)
      ? draft.value.grades.filter((g) => g !== grade)
      : [...draft.value.grades, grade].sort((a, b) => a - b),
  })
</script>

<template>
  <div class="fields">
    <v-text-field
      :model-value="draft.name"
      :label="t('classes.name')"
      maxlength="120"
      @update:model-value="set({ name: $event })"
    />
    <fieldset>
      <legend>{{ t('classes.grades') }}</legend>
      <v-btn
        v-for="grade in 7"
        :key="grade"
        :class="{ main: draft.grades.includes(grade - 1) }"
        :aria-pressed="draft.grades.includes(grade - 1)"
        @click="toggle(grade - 1)"
        >{{ settings.settings?.gradeNames[grade - 1] ?? t(`grade.${grade - 1}`) }}</v-btn
      >
    </fieldset>
    <div class="pair">
      <v-text-field
        type="date"
        :model-value="draft.yearEnds"
        :label="t('classes.yearEnds')"
        @update:model-value="set({ yearEnds: $event })"
      />
      <NumberField
        :model-value="draft.keepMonths"
        :label="t('classes.keepMonths')"
        :min="0"
        :max="24"
        @update:model-value="set({ keepMonths: $event ?? 0 })"
      />
    </div>
    <p class="quiet">{{ t('classes.keepLead') }}</p>
  </div>
</template>

<style scoped>
.fields {
  width: 100%;
  display: grid;
  gap: 12px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
legend {
  padding: 0 0 6px;
}
</style>
