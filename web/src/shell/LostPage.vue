<script setup lang="ts">
import { useI18n } from 'vue-i18n'

const { t } = useI18n()
</script>

<template>
  <main class="lost">
    <h1>{{ t('lost.title') }}</h1>
    <p>{{ t('lost.text') }}</p>
    <v-btn class="main" :to="{ name: 'desk' }">{{ t('lost.back') }}</v-btn>
  </main>
</template>

<style scoped>
.lost {
  padding: 48px;
  max-width: 560px;
}
</style>
