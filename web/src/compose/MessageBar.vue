<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useComposer } from './store.ts'

/** What the composer has to say of the last thing done, and its undo. */
const { t, te } = useI18n()
const composer = useComposer()
const open = computed({
  get: () => composer.message !== undefined,
  set: (on) => {
    if (!on) composer.message = undefined
  },
})
const text = computed(() => {
  const { text: said = '', params = {} } = composer.message ?? {}
  // Some say how many of something: the number chooses the words.
  if (te(`messages.${said}`)) return t(`messages.${said}`, params, Number(params.n ?? 1))
  return te(said) ? t(said) : said
})
function onUndo() {
  composer.undo()
  composer.message = undefined
}
</script>

<template>
  <v-snackbar v-model="open">
    <span class="message">{{ text }}</span>
    <template #actions>
      <v-btn v-if="composer.message?.undo" @click="onUndo">{{ t('undo') }}</v-btn>
      <v-btn @click="composer.message = undefined">{{ t('close') }}</v-btn>
    </template>
  </v-snackbar>
</template>

<style scoped>
.message {
  white-space: pre-line;
}
</style>
