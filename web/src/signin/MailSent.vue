<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** A message was sent; in the demo it is in the outbox. */
defineProps<{ text: string; demo: boolean }>()
const { t } = useI18n()
</script>

<template>
  <p role="status">{{ text }}</p>
  <p v-if="demo" class="quiet">
    {{ t('mail.outbox') }} <router-link :to="{ name: 'outbox' }">{{ t('outbox.title') }}</router-link>
  </p>
  <p class="links">
    <router-link :to="{ name: 'sign-in' }">{{ t('signUp.back') }}</router-link>
  </p>
</template>
