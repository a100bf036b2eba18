<script setup lang="ts">
import { DateTime } from 'luxon'
import { useI18n } from 'vue-i18n'
import { type LooseRun, type Pupil } from '@esfuerzo/contract'
import { client } from '../../shared/client.ts'
import { useTried } from '../useTried.ts'

/** Runs without a code, or with a wrong code that was removed: whose are they? */
defineProps<{ runs: readonly LooseRun[]; pupils: readonly Pupil[] }>()
const emit = defineEmits<{ moved: [] }>()
const { t, locale } = useI18n()
const { problem, tried } = useTried()
const when = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toFormat('ccc d LLL, HH:mm')
async function onGive({ publicationId, id }: LooseRun, pupil: string) {
  const params = { id: publicationId, run: id }
  if (await tried(() => client('moveRun', { params, body: { pupil } }))) emit('moved')
}
</script>

<template>
  <details v-if="runs.length" class="card loose no-paper">
    <summary>{{ t('book.loose', { n: runs.length }, runs.length) }}</summary>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <ul>
      <li v-for="run in runs" :key="run.id">
        <span>{{ t('book.looseRun', { letter: run.letter, when: when(run.finishedAt), n: run.results }) }}</span>
        <v-select
          :items="pupils.map((p) => ({ value: p.id, title: p.alias }))"
          :label="t('book.belongsTo')"
          :aria-label="t('book.belongsToLabel', { when: when(run.finishedAt) })"
          density="compact"
          hide-details
          @update:model-value="onGive(run, String($event))"
        />
      </li>
    </ul>
  </details>
</template>

<style scoped>
.loose {
  padding: 10px 16px;
}
summary {
  cursor: pointer;
}
ul {
  margin: 8px 0 0;
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 220px;
  align-items: center;
  gap: 12px;
}
</style>
