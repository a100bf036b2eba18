<script setup lang="ts" generic="T extends { title: string }">
import { DateTime } from 'luxon'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode } from '@esfuerzo/contract'
import type { FoundWork, Revisioned } from './useRevisioned.ts'
import AppDialog from '../shared/dialog/AppDialog.vue'

/** Unsaved work of other tabs: each is kept as a copy or discarded; undecided work stays on the device. */
const props = defineProps<{
  offered: readonly FoundWork<T>[]
  copy: Revisioned<T>['copyOffered']
  drop: Revisioned<T>['dropOffered']
}>()
const { t, locale } = useI18n()
const closed = ref(false)
const problem = ref('')
const when = (at: number) => DateTime.fromMillis(at).setLocale(locale.value).toFormat('d LLL, HH:mm')
async function onCopy(work: FoundWork<T>) {
  problem.value = ''
  try {
    await props.copy(work)
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
</script>

<template>
  <AppDialog
    :model-value="offered.length > 0 && !closed"
    :title="t('offered.title')"
    :width="620"
    @update:model-value="closed = true"
  >
    <p>{{ t('offered.lead') }}</p>
    <ul>
      <li v-for="work in offered" :key="work.key">
        <span>{{ t('offered.one', { title: work.document.title, when: when(work.at) }) }}</span>
        <span class="row">
          <v-btn @click="onCopy(work)">{{ t('offered.copy') }}</v-btn>
          <v-btn class="plain" @click="drop(work)">{{ t('offered.discard') }}</v-btn>
        </span>
      </li>
    </ul>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <template #actions>
      <v-btn @click="closed = true">{{ t('offered.later') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
ul {
  margin: 12px 0 0;
  display: grid;
  gap: 12px;
}
li,
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
</style>
