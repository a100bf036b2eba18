<script setup lang="ts">
import Papa from 'papaparse'
import { useI18n } from 'vue-i18n'
import { fileTitle } from '@esfuerzo/core/cues'
import { termMarkdown, termRows, type Term } from '@esfuerzo/core/term'
import { saveContent } from '../shared/saveFile.ts'

/** A term as a printout, as text, as a table. */
const props = defineProps<{ term: Term; titles: ReadonlyMap<string, string> }>()
const { t } = useI18n()

const name = (kind: string) => `${fileTitle(props.term.title)}.${kind}`
const onPrint = () => window.print()
function onMarkdown() {
  const words = { free: t('term.free'), again: (time: number) => t('term.time', { n: time }) }
  saveContent(name('md'), termMarkdown(props.term, props.titles, words), 'text/markdown')
}
function onCsv() {
  const rows = termRows(props.term, props.titles).map(({ week, date, at, kind, title, time }) => ({
    week,
    date,
    time: at,
    session: kind === 'session' ? title : '',
    coming: time || '',
    note: kind === 'off' ? title : kind === 'free' ? t('term.free') : '',
  }))
  // RFC 4180 line ends, and a byte order mark so that a spreadsheet reads the letters correctly; a title that looks like a formula stays
  // text.
  const text = `\uFEFF${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })}`
  saveContent(name('csv'), text, 'text/csv')
}
</script>

<template>
  <section :aria-label="t('term.out.title')">
    <h2>{{ t('term.out.title') }}</h2>
    <div class="do">
      <v-btn @click="onPrint">{{ t('term.out.print') }}</v-btn>
      <v-btn @click="onMarkdown">{{ t('term.out.markdown') }}</v-btn>
      <v-btn @click="onCsv">{{ t('term.out.csv') }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 22px;
}
h2 {
  margin: 0 0 8px;
  font-size: 16px;
}
</style>
