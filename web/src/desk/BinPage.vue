<script setup lang="ts">
import { DateTime } from 'luxon'
import { onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, type RemovedSession } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { removalsOver } from './removing.ts'

/** The trash: what was removed from the Desk, until it is deleted permanently. */
const { t, locale } = useI18n()
const sessions = shallowRef<RemovedSession[]>()
const problem = ref('')
/** Permanent deletion can't be undone, so it is asked for twice. */
const sure = ref<string>()

async function tried(work: () => Promise<unknown>) {
  problem.value = ''
  try {
    await work()
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
const load = () =>
  tried(async () => {
    await removalsOver()
    sessions.value = (await client('listBin', {})).workouts
  })
onMounted(load)
const gone = (id: string) => (sessions.value = sessions.value?.filter((w) => w.id !== id))
const onRestore = (id: string) =>
  tried(async () => {
    await client('restoreSession', { params: { id } })
    gone(id)
  })
const onDelete = (id: string) =>
  tried(async () => {
    await client('deleteSession', { params: { id } })
    gone(id)
    sure.value = undefined
  })
const ago = (iso: string) => DateTime.fromISO(iso).toRelative({ locale: locale.value })
</script>

<template>
  <main class="bin">
    <h1>{{ t('bin.title') }}</h1>
    <p class="quiet">{{ t('bin.lead') }}</p>
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <p v-else-if="!sessions" class="quiet">{{ t('loading') }}</p>
    <p v-else-if="!sessions.length" class="card empty">
      {{ t('bin.none') }} <router-link :to="{ name: 'desk' }">{{ t('lost.back') }}</router-link>
    </p>
    <ul v-else class="card">
      <li v-for="w in sessions" :key="w.id">
        <span>
          <b>{{ w.title }}</b>
          <small class="quiet">{{ t('bin.about', { removed: ago(w.removedAt), gone: ago(w.goneAt) }) }}</small>
        </span>
        <v-btn :aria-label="t('bin.restoreLabel', { title: w.title })" @click="onRestore(w.id)">{{
          t('bin.restore')
        }}</v-btn>
        <v-btn
          v-if="sure !== w.id"
          class="plain"
          :aria-label="t('bin.deleteLabel', { title: w.title })"
          @click="sure = w.id"
          >{{ t('bin.delete') }}</v-btn
        >
        <v-btn v-else class="danger" @click="onDelete(w.id)">{{ t('bin.sure', { n: w.runs }) }}</v-btn>
      </li>
    </ul>
  </main>
</template>

<style scoped>
.bin {
  padding: 20px 24px 40px;
  max-width: 860px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.empty {
  padding: 16px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 10px;
  align-items: center;
  padding: 8px 16px;
}
li + li {
  border-top: 1px solid var(--hair);
}
small {
  display: block;
}
</style>
