<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Lap } from '@esfuerzo/core'
import NumberField from '../../shared/fields/NumberField.vue'

/** Work and rest of a lap, or of all while they are equal. */
defineProps<{ lap: Lap }>()
const emit = defineEmits<{ set: [field: keyof Lap, seconds: number] }>()
const { t } = useI18n()
</script>

<template>
  <NumberField
    :model-value="lap.work"
    :min="1"
    :step="5"
    :label="t('intervals.work')"
    suffix="s"
    @update:model-value="emit('set', 'work', $event)"
  />
  <NumberField
    :model-value="lap.rest"
    :step="5"
    :label="t('intervals.rest')"
    suffix="s"
    @update:model-value="emit('set', 'rest', $event)"
  />
</template>
