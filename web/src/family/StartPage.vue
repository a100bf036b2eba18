<script setup lang="ts">
import { shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { keptSessions, type KeptSession } from './kept.ts'
import LanguageChoice from './LanguageChoice.vue'

const { t, locale } = useI18n()
const sessions = shallowRef<KeptSession[]>([])
void keptSessions().then((found) => (sessions.value = found))
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
.button {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  padding: 12px 18px;
}
</style>
