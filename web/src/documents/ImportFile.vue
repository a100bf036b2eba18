<script setup lang="ts">
import { useDropZone, useFileDialog } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { problemText } from '../words/i18n.ts'
import type { Refusal } from '../words/refusal.ts'
import AppDialog from '../shared/dialog/AppDialog.vue'

/** Imports a file that was chosen or dropped anywhere on the page. A refused file is named. */
const props = defineProps<{
  label: string
  /** Shown over the page while a file is held above it; without it nothing can be dropped. */
  drop?: string
  /** Imports the text; its return value is shown. */
  take: (text: string) => Promise<({ title: string } & Refusal) | undefined>
  /** Which files can be chosen, as in an input's `accept`; by default a session's. */
  accept?: string
  /** Imports several files, or one of another program. @returns whether it did; if not, the first is imported as text */
  takeFiles?: (files: readonly File[]) => Promise<boolean>
}>()
const { t } = useI18n()
const told = shallowRef<{ title: string } & Refusal>()
const shown = computed({
  get: () => told.value !== undefined,
  set: (on) => {
    if (!on) told.value = undefined
  },
})

async function takeText(text: string) {
  told.value = await props.take(text)
}
async function onFiles(files: readonly File[]) {
  const [first] = files
  if (first && !(await props.takeFiles?.(files))) await takeText(await first.text())
}

const multiple = props.takeFiles !== undefined
const { open, onChange } = useFileDialog({ accept: props.accept ?? '.json,application/json', multiple, reset: true })
onChange((files) => void onFiles([...(files ?? [])]))
const { isOverDropZone } = useDropZone(() => (props.drop ? document.body : undefined), {
  onDrop: (files) => void onFiles(files ?? []),
  multiple,
})
defineExpose({ takeText, open })
</script>

<template>
  <v-btn @click="open()">{{ label }}</v-btn>
  <div v-if="isOverDropZone" class="drop" aria-hidden="true">{{ drop }}</div>
  <AppDialog v-model="shown" :title="told?.title ?? ''" :width="680">
    <template v-if="told">
      <p v-if="told.sentence">{{ told.sentence }}</p>
      <ul class="bullets">
        <li v-for="(problem, i) in told.problems" :key="i">{{ problemText(problem) }}</li>
      </ul>
    </template>
    <template #actions><v-btn @click="shown = false">{{ t('close') }}</v-btn></template>
  </AppDialog>
</template>

<style scoped>
.drop {
  position: fixed;
  inset: 12px;
  z-index: 10;
  display: grid;
  place-items: center;
  border: 3px dashed var(--action);
  border-radius: var(--corner);
  background: color-mix(in srgb, var(--card) 92%, transparent);
  font: 700 24px var(--display);
}
li {
  overflow-wrap: anywhere;
}
</style>
