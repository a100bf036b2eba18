<script setup lang="ts">
import { DateTime } from 'luxon'
import { useIntervalFn } from '@vueuse/core'
import { onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { callCode, type Message } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { keptKey } from './keptKey.ts'

/** The demo's simulated mail server: every message that would have been sent, as stored in its file. */
const { t, locale } = useI18n()
const route = useRoute()
const messages = shallowRef<Message[]>()
const problem = ref('')
/** Its key: in the address the start command printed, then kept until the browser is closed. */
const key = ref([route.query.key].flat()[0] ?? keptKey.read())

const typed = ref('')
async function onKey() {
  key.value = typed.value.trim()
  await load()
}

async function load() {
  problem.value = ''
  if (!key.value) return
  try {
    messages.value = (await client('listOutbox', { query: { key: key.value } })).messages
    keptKey.write(key.value)
  } catch (error) {
    const code = callCode(error)
    problem.value = code === 'not-found' ? t('outbox.noDemo') : t(`errors.${code}`)
  }
}
onMounted(load)
// A message takes a moment to arrive.
useIntervalFn(() => void (messages.value && load()), 2000)
const when = (m: Message) => DateTime.fromISO(m.date).setLocale(locale.value).toLocaleString(DateTime.DATETIME_MED)
/** A message's text with links that work. */
const pieces = (text: string) =>
  text.split(/(https?:\/\/\S+)/).map((piece, i) => ({ piece, href: i % 2 ? piece : undefined }))
</script>

<template>
  <main class="outbox">
    <header>
      <div>
        <h1>{{ t('outbox.title') }}</h1>
        <p class="quiet">{{ t('outbox.lead') }}</p>
      </div>
      <v-btn v-if="messages" @click="load">{{ t('outbox.look') }}</v-btn>
    </header>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <form v-if="!messages && (!key || problem)" class="key" @submit.prevent="onKey">
      <v-text-field v-model="typed" :label="t('outbox.key')" :hint="t('outbox.keyHint')" persistent-hint required />
      <v-btn class="main" type="submit">{{ t('outbox.open') }}</v-btn>
    </form>
    <p v-else-if="!messages" class="quiet">{{ t('loading') }}</p>
    <p v-else-if="!messages.length" class="quiet">{{ t('outbox.none') }}</p>
    <article v-for="m in messages" :key="m.id" class="card">
      <h2>{{ m.subject }}</h2>
      <p class="quiet">
        {{ t('outbox.about', { to: m.to, when: when(m) }) }} ·
        <a :href="`/api/outbox/${m.id}?key=${key}`" download>{{ t('outbox.file') }}</a>
      </p>
      <p class="text">
        <template v-for="(p, i) in pieces(m.text)" :key="i"
          ><a v-if="p.href" :href="p.href">{{ p.piece }}</a><template v-else>{{ p.piece }}</template></template
        >
      </p>
    </article>
    <p>
      <router-link :to="{ name: 'sign-in' }">{{ t('signUp.back') }}</router-link>
    </p>
  </main>
</template>

<style scoped>
.outbox {
  max-width: 760px;
  margin: 0 auto;
  padding: 24px;
  display: grid;
  gap: 16px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 16px;
}
p {
  margin: 4px 0 0;
}
article {
  padding: 16px;
}
.key {
  display: flex;
  gap: 12px;
  align-items: start;
}
.text {
  margin-top: 12px;
  white-space: pre-line;
  overflow-wrap: anywhere;
}
</style>
