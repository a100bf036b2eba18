<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { parseSeconds } from '@esfuerzo/core'

interface Props {
  label: string
  modelValue: number
  min?: number
  max?: number
  step?: number
  /** The unit after the number. */
  suffix?: string
  /** A number with decimals, not seconds. */
  decimals?: boolean
}
const props = withDefaults(defineProps<Props>(), { min: 0, max: 3600, step: 1 })
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const { t } = useI18n()

/** Seconds may be typed as minutes; decimals also accept a comma. */
function parsed(text: string): number | undefined {
  if (!props.decimals) return parseSeconds(text)
  return /^\s*\d{1,3}(?:[.,]\d{1,2})?\s*$/.test(text) ? Number(text.replace(',', '.')) : undefined
}

const typed = ref(String(props.modelValue))
const problem = ref('')
watch(
  () => props.modelValue,
  (now) => {
    if (parsed(typed.value) !== now) typed.value = String(now)
    problem.value = ''
  },
)

function onInput(text: string) {
  typed.value = text
  const value = parsed(text)
  if (value === undefined || value < props.min || value > props.max) {
    problem.value = t('field.between', { min: props.min, max: props.max })
    return
  }
  problem.value = ''
  if (value !== props.modelValue) emit('update:modelValue', value)
}

function onStep(by: number) {
  const next = (parsed(typed.value) ?? props.modelValue) + by * props.step
  // Tenths add up to no exact number.
  onInput(String(Math.min(props.max, Math.max(props.min, Number(next.toFixed(2))))))
}

/** If it loses the focus without a valid number, the last one returns. */
function onBlur() {
  if (problem.value) typed.value = String(props.modelValue)
  problem.value = ''
}
</script>

<template>
  <v-text-field
    :model-value="typed"
    :label="label"
    :suffix="suffix"
    :error-messages="problem"
    :inputmode="decimals ? 'decimal' : 'numeric'"
    autocomplete="off"
    @update:model-value="onInput"
    @keydown.up.prevent="onStep(1)"
    @keydown.down.prevent="onStep(-1)"
    @blur="onBlur"
  />
</template>
