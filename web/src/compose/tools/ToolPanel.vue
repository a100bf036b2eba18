<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { onMounted, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useFocusBack } from '../../shared/dialog/useFocusBack.ts'
import { usePanel } from '../panel/usePanel.ts'

/** The frame of a tool that computes something: name, progress if known, and cancel. */
defineProps<{ title: string; running: boolean; progress?: number; problem: string }>()
const emit = defineEmits<{ cancel: []; again: [] }>()
const { t, te } = useI18n()
const panel = usePanel()
const heading = useTemplateRef('heading')
useFocusBack(
  () => true,
  () => heading.value?.closest('section'),
)
// Keyboard and screen-reader users continue here.
onMounted(() => heading.value?.focus({ preventScroll: true }))
</script>

<template>
  <section class="tool" :aria-label="title">
    <header>
      <h2 ref="heading" tabindex="-1">{{ title }}</h2>
      <v-btn :icon="mdiClose" :aria-label="t('close')" :title="`${t('close')} (Esc)`" @click="panel.close()" />
    </header>
    <div v-if="running" class="running">
      <progress :value="progress" max="1" :aria-label="t('tools.working')" />
      <button type="button" class="link" @click="emit('cancel')">{{ t('cancel') }}</button>
    </div>
    <p v-if="problem" class="care" role="alert">
      {{ te(`tools.${problem}`) ? t(`tools.${problem}`) : problem }}
      <button type="button" class="link" @click="emit('again')">{{ t('tryAgain') }}</button>
    </p>
    <slot />
  </section>
</template>

<style scoped>
.tool {
  display: grid;
  gap: 12px;
  align-content: start;
  padding-bottom: 20px;
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
h2 {
  font-size: 19px;
  outline: none;
}
.running {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 24px;
}
progress {
  flex: 1;
  height: 6px;
  accent-color: var(--action);
}
</style>
