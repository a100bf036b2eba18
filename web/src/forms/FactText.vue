<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Block } from '@esfuerzo/core'
import { type Fact } from '@esfuerzo/core/notation'

/** A fact typed as text: `1-10`, `until all are done`. Unreadable text stays and is not applied. */
const props = defineProps<{ fact: Fact<Block>; label: string; now: unknown }>()
const emit = defineEmits<{ change: [value: unknown] }>()
const { t } = useI18n()
const text = ref('')
const problem = ref('')
const shown = () => (props.now === undefined ? '' : props.fact.print(props.now))
watch(
  () => props.now,
  () => {
    text.value = shown()
    problem.value = ''
  },
  { immediate: true },
)
function onInput(typed: string) {
  text.value = typed
  const value = props.fact.read(typed.trim(), props.now)
  problem.value = value === undefined ? t('factText.unread', { example: shown() }) : ''
}
function onTake() {
  const value = props.fact.read(text.value.trim(), props.now)
  if (value !== undefined && text.value.trim() !== shown()) emit('change', value)
}
</script>

<template>
  <v-text-field
    :model-value="text"
    :label="label"
    :error-messages="problem"
    maxlength="200"
    autocomplete="off"
    @update:model-value="onInput"
    @blur="onTake"
    @keydown.enter="onTake"
  />
</template>
