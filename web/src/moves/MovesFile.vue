<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { movesFile, ProblemError, type Problem } from '@esfuerzo/core'
import { problemText } from '../words/i18n.ts'
import { CallError } from '@esfuerzo/contract'
import { saveFile } from '../shared/saveFile.ts'
import { useRepertoire } from '../repertoire/store.ts'

/** The teacher's own moves out to a file and in from one. */
const { t } = useI18n()
const repertoire = useRepertoire()
const problems = shallowRef<readonly Problem[]>([])
const title = shallowRef('')
const shown = computed({
  get: () => title.value !== '',
  set: (on) => {
    if (!on) title.value = ''
  },
})

async function take(text: string) {
  try {
    problems.value = await repertoire.takeFile(text)
    title.value = problems.value.length ? t('moves.setRight', { n: problems.value.length }) : t('moves.taken')
  } catch (error) {
    title.value = t('moves.refused')
    if (error instanceof ProblemError || (error instanceof CallError && error.problems.length))
      problems.value = error.problems
    else if (error instanceof SyntaxError) problems.value = [{ code: 'not-json', path: [] }]
    else if (error instanceof CallError) {
      problems.value = []
      title.value = t(`errors.${error.code}`)
    } else throw error
  }
}
const { open, onChange } = useFileDialog({ accept: '.json,application/json', multiple: false, reset: true })
onChange(async (files) => {
  const file = files?.[0]
  if (file) await take(await file.text())
})
const onSave = () => saveFile('moves.json', movesFile(repertoire.own))
defineExpose({ take })
</script>

<template>
  <v-btn @click="open()">{{ t('moves.open') }}</v-btn>
  <v-btn v-if="repertoire.own.length" @click="onSave">{{ t('moves.save') }}</v-btn>
  <v-dialog v-model="shown" :max-width="680" scrollable :aria-label="title">
    <v-card>
      <v-card-title>{{ title }}</v-card-title>
      <v-card-text v-if="problems.length">
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
