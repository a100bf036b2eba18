<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { movesFile } from '@esfuerzo/core'
import ImportFile from '../documents/ImportFile.vue'
import { saveFile } from '../shared/saveFile.ts'
import { useRepertoire } from '../repertoire/store.ts'
import { refusalOf } from '../words/refusal.ts'

/** Exports and imports the teacher's own exercises. */
const { t } = useI18n()
const repertoire = useRepertoire()

async function take(text: string) {
  try {
    const problems = await repertoire.takeFile(text)
    const title = problems.length ? t('moves.setRight', { n: problems.length }) : t('moves.taken')
    return { title, sentence: '', problems }
  } catch (error) {
    return { title: t('moves.refused'), ...refusalOf(error) }
  }
}
const onSave = () => saveFile('moves.json', movesFile(repertoire.own))
</script>

<template>
  <ImportFile :label="t('moves.open')" :take="take" />
  <v-btn v-if="repertoire.own.length" @click="onSave">{{ t('moves.save') }}</v-btn>
</template>
