<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { planKinds } from '@esfuerzo/plans/kind'
import { client } from '../shared/client.ts'
import ImportFile from '../documents/ImportFile.vue'
import { sessionFromText } from '../documents/sessionFile.ts'
import { refusalOf } from '../words/refusal.ts'

/** Imports files: chosen, dropped anywhere on the page, or pasted. A session's own file becomes a session at once; others are plans. */
const emit = defineEmits<{ plans: [files: readonly File[]] }>()
const { t } = useI18n()
const router = useRouter()
const file = useTemplateRef('file')

async function take(text: string) {
  try {
    const { id } = await client('createSession', { body: { document: sessionFromText(text) } })
    await router.push({ name: 'compose', params: { id } })
    return undefined
  } catch (error) {
    const { sentence, problems } = refusalOf(error)
    return { title: t('import.refused'), sentence: sentence || t('import.why', { n: problems.length }), problems }
  }
}
const accept = ['.json', ...planKinds.map((kind) => `.${kind}`), '.htm', '.fodt'].join()
async function takeFiles(files: readonly File[]) {
  const [first] = files
  if (files.length === 1 && /\.json$/i.test(first!.name)) return false
  emit('plans', files)
  return true
}
defineExpose({ open: () => file.value?.open() })
useEventListener(document, 'paste', (event: ClipboardEvent) => {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (event.target instanceof Element && event.target.closest('input, textarea')) return
  // Anything else on the clipboard is ignored.
  if (text.includes('"esfuerzo.workout"')) void file.value?.takeText(text)
})
</script>

<template>
  <ImportFile
    ref="file"
    :label="t('import.open')"
    :drop="t('import.drop')"
    :accept="accept"
    :take="take"
    :take-files="takeFiles"
  />
</template>
