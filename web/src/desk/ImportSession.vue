<script setup lang="ts">
import { useDropZone, useEventListener, useFileDialog } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { ProblemError, type Problem } from '@esfuerzo/core'
import { problemText } from '../words/i18n.ts'
import { CallError } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { sessionFromText } from '../documents/sessionFile.ts'

/** Takes a session in from a file: chosen, dropped anywhere on the page, or pasted. */
const { t } = useI18n()
const router = useRouter()
const problems = shallowRef<readonly Problem[]>([])
const failed = shallowRef('')
const shown = computed({
  get: () => problems.value.length > 0 || failed.value !== '',
  set: (on) => {
    if (on) return
    problems.value = []
    failed.value = ''
  },
})

async function take(text: string) {
  try {
    const { id } = await client('createWorkout', { body: { document: sessionFromText(text) } })
    await router.push({ name: 'compose', params: { id } })
  } catch (error) {
    if (error instanceof ProblemError || (error instanceof CallError && error.problems.length))
      problems.value = error.problems
    else if (error instanceof CallError) failed.value = t(`errors.${error.code}`)
    else throw error
  }
}
async function takeFile(file: File | undefined | null) {
  if (file) await take(await file.text())
}

const { open, onChange } = useFileDialog({ accept: '.json,application/json', multiple: false, reset: true })
onChange((files) => void takeFile(files?.[0]))
const { isOverDropZone } = useDropZone(() => document.body, {
  onDrop: (files) => void takeFile(files?.[0]),
  multiple: false,
})
useEventListener(document, 'paste', (event: ClipboardEvent) => {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (event.target instanceof Element && event.target.closest('input, textarea')) return
  // Anything else on the clipboard is none of our business.
  if (text.includes('"esfuerzo.workout"')) void take(text)
})
</script>

<template>
  <v-btn @click="open()">{{ t('import.open') }}</v-btn>
  <div v-if="isOverDropZone" class="drop" aria-hidden="true">{{ t('import.drop') }}</div>
  <v-dialog v-model="shown" :max-width="680" scrollable :aria-label="t('import.refused')">
    <v-card>
      <v-card-title>{{ t('import.refused') }}</v-card-title>
      <v-card-text>
        <p>{{ failed || t('import.why', { n: problems.length }) }}</p>
        <ul>
          <li v-for="(problem, i) in problems" :key="i">{{ problemText(problem) }}</li>
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
