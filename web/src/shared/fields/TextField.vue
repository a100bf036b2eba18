<script setup lang="ts">
import { cleanText, limits } from '@esfuerzo/core'

/** One or several lines of a session's text: cleaned before it is stored; a required text is never stored empty. */
interface Props {
  label: string
  modelValue: string
  /** Several lines. */
  tall?: boolean
  must?: boolean
  rows?: number
}
const props = defineProps<Props>()
const emit = defineEmits<{ 'update:modelValue': [text: string] }>()

function onInput(typed: string | null) {
  const text = cleanText(typed ?? '', props.tall ? 'paragraph' : 'line')
  if (!props.must || text.trim()) emit('update:modelValue', text)
}
</script>

<template>
  <v-textarea
    v-if="tall"
    :model-value="modelValue"
    :label="label"
    :maxlength="limits.paragraph"
    :rows="rows"
    @update:model-value="onInput"
  />
  <v-text-field
    v-else
    :model-value="modelValue"
    :label="label"
    :maxlength="limits.line"
    @update:model-value="onInput"
  />
</template>
