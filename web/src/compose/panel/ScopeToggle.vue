<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { type Group } from '@esfuerzo/core'
import LaneKey from '../../shared/lanes/LaneKey.vue'

/** Which groups a change is for: all, or some. */
const props = defineProps<{ groups: Group[]; modelValue: 'all' | string[] }>()
const emit = defineEmits<{ 'update:modelValue': [scope: 'all' | string[]] }>()
const { t } = useI18n()

const isOn = (id: string) => props.modelValue !== 'all' && props.modelValue.includes(id)
function toggle(id: string) {
  const now = props.modelValue === 'all' ? [] : props.modelValue
  const next = now.includes(id) ? now.filter((g) => g !== id) : [...now, id]
  emit('update:modelValue', next.length === 0 || next.length === props.groups.length ? 'all' : next)
}
</script>

<template>
  <div class="scope" role="group" :aria-label="t('scope.label')">
    <span class="quiet">{{ t('scope.for') }}</span>
    <button type="button" :aria-pressed="modelValue === 'all'" @click="emit('update:modelValue', 'all')">
      {{ t('scope.all') }}
    </button>
    <button
      v-for="group in groups"
      :key="group.id"
      type="button"
      :aria-pressed="isOn(group.id)"
      :aria-label="t('scope.only', { letter: group.letter, name: group.name })"
      @click="toggle(group.id)"
    >
      <LaneKey :letter="group.letter" />
    </button>
  </div>
</template>

<style scoped>
.scope {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
button {
  min-height: 34px;
  padding: 2px 9px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
button[aria-pressed='true'] {
  background: var(--action-soft);
  border-color: var(--action);
  box-shadow: inset 0 0 0 1px var(--action);
}
</style>
