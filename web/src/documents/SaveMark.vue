<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import type { SaveState } from './useAutosave.ts'

/** Whether the work is stored, and what to do if it can't be. */
defineProps<{ state: SaveState; detail: string }>()
const emit = defineEmits<{ keepBoth: []; compare: []; save: [] }>()
const { t } = useI18n()
const route = useRoute()
/** By then the work on screen is on this device. */
const onReload = () => location.reload()
</script>

<template>
  <span
    class="mark"
    role="status"
    data-testid="save-mark"
    :class="{ care: ['away', 'newer', 'signed-out', 'conflict', 'refused'].includes(state) }"
  >
    {{ t(`save.${state}`) }}
    <template v-if="state === 'conflict'">
      <v-btn @click="emit('compare')">{{ t('save.compare') }}</v-btn>
      <v-btn @click="emit('keepBoth')">{{ t('save.keepBoth') }}</v-btn>
    </template>
    <v-btn v-else-if="state === 'signed-out'" :to="{ name: 'sign-in', query: { next: route.fullPath } }">{{
      t('signIn.go')
    }}</v-btn>
    <v-btn v-else-if="state === 'newer'" @click="onReload">{{ t('save.reload') }}</v-btn>
    <v-btn v-else-if="state === 'away'" @click="emit('save')">{{ t('save.now') }}</v-btn>
    <span v-else-if="state === 'refused'">{{ detail }}</span>
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
