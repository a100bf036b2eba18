<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from './session/useSession.ts'
import { useMessages } from './useMessages.ts'

/** The composer's message about the last action, with its undo. */
const { t, te } = useI18n()
const session = useSession()
const messages = useMessages()
const open = computed({
  get: () => messages.message !== undefined,
  set: (on) => {
    if (!on) messages.clear()
  },
})
const text = computed(() => {
  const { text: said = '', params = {} } = messages.message ?? {}
  // Some messages contain a number, which chooses singular or plural.
  if (te(`messages.${said}`)) return t(`messages.${said}`, params, Number(params.n ?? 1))
  return te(said) ? t(said) : said
})
function onUndo() {
  session.undo()
  messages.clear()
}
</script>

<template>
  <v-snackbar v-model="open">
    <span class="message">{{ text }}</span>
    <template #actions>
      <v-btn v-if="messages.message?.undo" @click="onUndo">{{ t('undo') }}</v-btn>
      <v-btn @click="messages.clear()">{{ t('close') }}</v-btn>
    </template>
  </v-snackbar>
</template>

<style scoped>
.message {
  white-space: pre-line;
}
</style>
