<script setup lang="ts">
import { cleanText, limits } from '@esfuerzo/core'

/** A line of a session's words, or several: what is typed is made fit to be stored; one that must be said is never taken empty. */
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
