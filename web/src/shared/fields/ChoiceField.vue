<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** One of several choices, or some of them, each called by its word under a key. All else is said as to any select. */
defineProps<{ options: readonly (string | number)[]; named: string }>()
const { t } = useI18n()
</script>

<template>
  <v-select :items="options.map((value) => ({ value, title: t(`${named}.${value}`) }))" />
</template>
