<script setup lang="ts">
import { useDropZone, useFileDialog } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { problemText } from '../words/i18n.ts'
import type { Refusal } from '../words/refusal.ts'

/** Takes something in from a file: chosen, or dropped anywhere on the page. What is refused is said by name. */
const props = defineProps<{
  label: string
  /** What is said over the page while a file is held above it; without it nothing can be dropped. */
  drop?: string
  /** Takes the text in; what it returns is told. */
  take: (text: string) => Promise<({ title: string } & Refusal) | undefined>
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
const takeFile = async (file: File | null | undefined) => file && takeText(await file.text())

const { open, onChange } = useFileDialog({ accept: '.json,application/json', multiple: false, reset: true })
onChange((files) => void takeFile(files?.[0]))
const { isOverDropZone } = useDropZone(() => (props.drop ? document.body : undefined), {
  onDrop: (files) => void takeFile(files?.[0]),
  multiple: false,
})
defineExpose({ takeText })
</script>

<template>
  <v-btn @click="open()">{{ label }}</v-btn>
  <div v-if="isOverDropZone" class="drop" aria-hidden="true">{{ drop }}</div>
  <v-dialog v-model="shown" :max-width="680" scrollable :aria-label="told?.title">
    <v-card v-if="told">
      <v-card-title>{{ told.title }}</v-card-title>
      <v-card-text v-if="told.sentence || told.problems.length">
        <p v-if="told.sentence">{{ told.sentence }}</p>
        <ul>
          <li v-for="(problem, i) in told.problems" :key="i">{{ problemText(problem) }}</li>
        </ul>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="shown = false">{{ t('close') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
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
