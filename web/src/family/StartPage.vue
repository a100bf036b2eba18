<script setup lang="ts">
import { useI18n } from 'vue-i18n'

const { t } = useI18n()
</script>

<template>
  <main class="page">
    <h1>Esfuerzo</h1>
    <p>{{ t('start.text') }}</p>
  </main>
</template>
