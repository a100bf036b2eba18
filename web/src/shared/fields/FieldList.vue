<script setup lang="ts">
import type { Field } from './field.ts'

/** Fields in their order. */
defineProps<{ fields: readonly Field[] }>()
</script>

<template>
  <component
    :is="field.is"
    v-for="field in fields"
    :key="field.label"
    v-bind="field.props"
    :label="field.label"
    :model-value="field.value"
    @update:model-value="field.set($event as never)"
  />
</template>
