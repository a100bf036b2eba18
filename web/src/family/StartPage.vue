<script setup lang="ts">
import { shallowRef } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { keptSessions, type KeptSession } from './kept.ts'
import type { Life } from './runLife.ts'
import { runs } from './runs.ts'
import { saveRuns } from './saveRuns.ts'
import LanguageChoice from './LanguageChoice.vue'

const { t, locale } = useSentences()
const sessions = shallowRef<KeptSession[]>([])
void keptSessions().then((found) => (sessions.value = found))
/** Runs that no server has yet. */
const waiting = shallowRef<Life[]>([])
const look = async () => (waiting.value = await runs.waiting())
void look()
void runs.sendWaiting().then(look)
const titleOf = (life: Life) => life.title || (sessions.value.find((s) => s.token === life.token)?.title ?? '…')
const onFile = (life: Life) => saveRuns(titleOf(life), life.runs ?? [])
async function onDrop(life: Life) {
  await runs.drop(life.id)
  await look()
}
const dateText = (iso: string) => new Date(iso).toLocaleDateString(locale.value, { day: 'numeric', month: 'long' })
</script>

<template>
  <main class="page">
    <h1>{{ t('start.title') }}</h1>
    <p>{{ t('start.text') }}</p>
    <section v-if="sessions.length" aria-labelledby="kept">
      <h2 id="kept">{{ t('start.kept') }}</h2>
      <ul>
        <li v-for="session in sessions" :key="session.token">
          <router-link class="button" :to="{ name: 'front', params: { token: session.token } }">
            <b>{{ session.title }}</b>
            <span class="quiet">{{ t('start.ends', { date: dateText(session.endsAt) }) }}</span>
          </router-link>
        </li>
      </ul>
    </section>
    <section v-if="waiting.length" aria-labelledby="waiting">
      <h2 id="waiting">{{ t('start.waiting') }}</h2>
      <p>{{ t('start.waitingText') }}</p>
      <ul>
        <li v-for="life in waiting" :key="life.id" class="card waiting">
          <b>{{ titleOf(life) }}</b>
          <span class="quiet">{{ dateText(life.finishedAt ?? life.startedAt) }}</span>
          <button type="button" @click="onFile(life)">{{ t('after.file') }}</button>
          <button type="button" @click="onDrop(life)">{{ t('start.drop') }}</button>
        </li>
      </ul>
    </section>
    <router-link class="button" :to="{ name: 'book' }">{{ t('book.open') }}</router-link>
    <LanguageChoice />
  </main>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
.waiting {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.button {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  padding: 12px 18px;
}
</style>
