<script setup lang="ts">
import { DateTime } from 'luxon'
import { onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, type Message } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'

/** The demo's stand-in for a post office: every message that would have been sent, as it lies in its file. */
const { t, locale } = useI18n()
const messages = shallowRef<Message[]>()
const problem = ref('')

async function load() {
  problem.value = ''
  try {
    messages.value = (await client('listOutbox', {})).messages
  } catch (error) {
    const code = callCode(error)
    problem.value = code === 'not-found' ? t('outbox.noDemo') : t(`errors.${code}`)
  }
}
onMounted(load)
const when = (m: Message) => DateTime.fromISO(m.date).setLocale(locale.value).toLocaleString(DateTime.DATETIME_MED)
/** A message's text with its links to be followed. */
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
      <v-btn @click="load">{{ t('outbox.look') }}</v-btn>
    </header>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <p v-else-if="!messages" class="quiet">{{ t('loading') }}</p>
    <p v-else-if="!messages.length" class="quiet">{{ t('outbox.none') }}</p>
    <article v-for="m in messages" :key="m.id" class="card">
      <h2>{{ m.subject }}</h2>
      <p class="quiet">
        {{ t('outbox.about', { to: m.to, when: when(m) }) }} ·
        <a :href="`/api/outbox/${m.id}`" download>{{ t('outbox.file') }}</a>
      </p>
      <p class="text">
        <template v-for="(p, i) in pieces(m.text)" :key="i"
          ><a v-if="p.href" :href="p.href">{{ p.piece }}</a
          ><template v-else>{{ p.piece }}</template></template
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
h1 {
  font-size: 26px;
}
h2 {
  font-size: 17px;
}
p {
  margin: 4px 0 0;
}
article {
  padding: 16px;
}
.text {
  margin-top: 12px;
  white-space: pre-line;
  overflow-wrap: anywhere;
}
a {
  color: var(--action);
}
</style>
