<script setup lang="ts">
import { useSentences } from '../shared/sentences.ts'
import { languages } from '@esfuerzo/core'
import { useLanguage } from './useLanguage.ts'

const { t } = useSentences()
const { locale, choose } = useLanguage()
</script>

<template>
  <div class="choice" role="group" :aria-label="t('language.label')">
    <button
      v-for="language in languages"
      :key="language"
      type="button"
      :lang="language"
      :aria-pressed="locale === language"
      @click="choose(language)"
    >
      {{ t(`language.${language}`) }}
    </button>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  gap: 8px;
  justify-content: center;
}
</style>
