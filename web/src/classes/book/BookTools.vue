<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Pupil } from '@esfuerzo/contract'
import { fileTitle } from '@esfuerzo/core/cues'
import { xlsxType } from '@esfuerzo/plans/types'
import { saveContent } from '../../shared/saveFile.ts'
import ImportResults from './ImportResults.vue'
import { csvOf, tableOf } from './tableOut.ts'
import type { Book } from './useBook.ts'

/** Exports the grid as a table, or fills it from one. */
const props = defineProps<{ book: Book; pupils: readonly Pupil[]; title: string }>()
const { t } = useI18n()
const reading = ref(false)
const table = computed(() => tableOf(props.book, props.pupils, t))
const name = computed(() => fileTitle(props.title))
const onCsv = () => saveContent(`${name.value}.csv`, csvOf(table.value), 'text/csv;charset=utf-8')
async function onExcel() {
  // The code for this is large and rarely needed.
  const { excelOf } = await import('@esfuerzo/plans/write')
  saveContent(`${name.value}.xlsx`, await excelOf(table.value), xlsxType)
}
const onPrint = () => window.print()
</script>

<template>
  <v-btn @click="reading = true">{{ t('book.readTable') }}</v-btn>
  <v-menu>
    <template #activator="{ props: menu }"><v-btn v-bind="menu">{{ t('book.takeAlong') }}</v-btn></template>
    <v-list>
      <v-list-item :title="t('book.csv')" @click="onCsv" />
      <v-list-item :title="t('book.excel')" @click="onExcel" />
      <v-list-item :title="t('book.print')" @click="onPrint" />
    </v-list>
  </v-menu>
  <ImportResults v-if="reading" :book="book" :pupils="pupils" @close="reading = false" />
</template>
