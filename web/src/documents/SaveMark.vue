<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { useSession } from './useSession.ts'

/** Whether the work is stored, and what to do where it cannot be. */
const emit = defineEmits<{ keepBoth: []; compare: [] }>()
const { t } = useI18n()
const route = useRoute()
const session = useSession()
/** What is on screen is on this device by then. */
const onReload = () => location.reload()
</script>

<template>
  <span
    class="mark"
    role="status"
    data-testid="save-mark"
    :class="{ care: ['away', 'newer', 'signed-out', 'conflict', 'refused'].includes(session.saveState) }"
  >
    {{ t(`save.${session.saveState}`) }}
    <template v-if="session.saveState === 'conflict'">
      <v-btn @click="emit('compare')">{{ t('save.compare') }}</v-btn>
      <v-btn @click="emit('keepBoth')">{{ t('save.keepBoth') }}</v-btn>
    </template>
    <v-btn v-else-if="session.saveState === 'signed-out'" :to="{ name: 'sign-in', query: { next: route.fullPath } }">{{
      t('signIn.go')
    }}</v-btn>
    <v-btn v-else-if="session.saveState === 'newer'" @click="onReload">{{ t('save.reload') }}</v-btn>
    <v-btn v-else-if="session.saveState === 'away'" @click="session.flush()">{{ t('save.now') }}</v-btn>
    <span v-else-if="session.saveState === 'refused'">{{ session.saveDetail }}</span>
  </span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  font-size: 14px;
  color: var(--quiet);
}
.mark.care {
  color: var(--care);
}
</style>
