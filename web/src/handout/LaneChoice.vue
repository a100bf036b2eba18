<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { type Group } from '@esfuerzo/core'
import LaneKey from '../shared/lanes/LaneKey.vue'

/** Which lanes something is for. */
defineProps<{ groups: readonly Group[] }>()
const chosen = defineModel<string[]>({ required: true })
const { t } = useI18n()
</script>

<template>
  <fieldset>
    <legend class="out-of-sight">{{ t('handout.lanes') }}</legend>
    <label v-for="group in groups" :key="group.id">
      <input v-model="chosen" type="checkbox" :value="group.id" />
      <LaneKey :letter="group.letter" :name="group.name" />
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
}
label {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 40px;
  cursor: pointer;
}
input {
  width: 20px;
  height: 20px;
  accent-color: var(--action);
}
</style>
