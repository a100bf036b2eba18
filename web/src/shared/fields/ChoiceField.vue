<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** One or several choices, each worded by its key. Other attributes go to the select. */
defineProps<{ options: readonly (string | number)[]; named: string }>()
const { t } = useI18n()
</script>

<template>
  <v-select :items="options.map((value) => ({ value, title: t(`${named}.${value}`) }))" />
</template>
