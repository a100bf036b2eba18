<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { cleanText, type Session } from '@esfuerzo/core'
import { CallError } from '@esfuerzo/contract'
import { fileTitle, markdown } from '@esfuerzo/core/cues'
import { planBlocks, planTable } from '@esfuerzo/core/oldPlans'
import { docxType, xlsxType } from '@esfuerzo/plans/types'
import { saveSessionFile } from '../documents/sessionFile.ts'
import { library } from '../repertoire/library.ts'
import { client } from '../shared/client.ts'
import { saveContent } from '../shared/saveFile.ts'

/** A copy for a colleague: by link, by message, or as a file, also for other programs; or on the clipboard, to be pasted on a Desk. */
const props = defineProps<{ id: string; session: Session }>()
const { t } = useI18n()
const email = ref('')
const link = ref('')
const said = ref('')
const problem = ref('')
const busy = ref(false)

async function onLink() {
  const to = cleanText(email.value, 'line').trim()
  problem.value = said.value = ''
  busy.value = true
  try {
    const { token } = await client('sendCopy', { params: { id: props.id }, body: to ? { email: to } : {} })
    link.value = `${location.origin}/copy/${token}`
    said.value = to ? t('copy.sent', { email: to }) : t('copy.made')
    email.value = ''
  } catch (error) {
    if (!(error instanceof CallError)) throw error
    problem.value = error.code === 'invalid' ? t('forgotten.invalid') : t(`errors.${error.code}`)
  } finally {
    busy.value = false
  }
}
const onMarkdown = () =>
  saveContent(`${fileTitle(props.session.title)}.md`, markdown(props.session, library), 'text/markdown')
/** The code for this is large, and is loaded when needed. */
async function onWord() {
  const { docxOf } = await import('@esfuerzo/plans/write')
  const bytes = await docxOf(planBlocks(props.session, library))
  saveContent(`${fileTitle(props.session.title)}.docx`, bytes, docxType)
}
async function onExcel() {
  const { excelOf } = await import('@esfuerzo/plans/write')
  saveContent(`${fileTitle(props.session.title)}.xlsx`, await excelOf(planTable(props.session, library)), xlsxType)
}
async function onClipboard(text: string, done: string) {
  problem.value = ''
  try {
    await navigator.clipboard.writeText(text)
    said.value = done
  } catch {
    problem.value = t('handout.noClipboard')
  }
}
</script>

<template>
  <section class="card" aria-labelledby="send-copy">
    <h2 id="send-copy">{{ t('copy.title') }}</h2>
    <p>{{ t('copy.lead') }}</p>
    <form class="make" @submit.prevent="onLink">
      <v-text-field v-model="email" type="email" :label="t('copy.email')" maxlength="254" autocomplete="off" />
      <v-btn type="submit" :loading="busy">{{ t(email ? 'copy.send' : 'copy.link') }}</v-btn>
    </form>
    <p v-if="link" class="link">
      <span class="address">{{ link }}</span>
      <v-btn @click="onClipboard(link, t('handout.copied'))">{{ t('handout.copy') }}</v-btn>
    </p>
    <p class="make">
      <v-btn @click="saveSessionFile(session)">{{ t('handout.save') }}</v-btn>
      <v-btn @click="onClipboard(JSON.stringify(session), t('copy.onClipboard'))">{{ t('copy.clipboard') }}</v-btn>
      <v-btn @click="onWord">{{ t('handout.word') }}</v-btn>
      <v-btn @click="onExcel">{{ t('handout.excel') }}</v-btn>
      <v-btn @click="onMarkdown">{{ t('handout.markdown') }}</v-btn>
    </p>
    <p v-if="said" role="status" class="quiet">{{ said }}</p>
    <p v-if="problem" role="alert" class="care">{{ problem }}</p>
  </section>
</template>

<style scoped>
section {
  padding: 16px;
  display: grid;
  gap: 12px;
}
.make,
.link {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.make > .v-input {
  flex: 1 1 200px;
}
.address {
  overflow-wrap: anywhere;
  font-weight: 700;
}
</style>
