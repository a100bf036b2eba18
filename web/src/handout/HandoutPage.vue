<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Session } from '@esfuerzo/core'
import type { PublicationInfo } from '@esfuerzo/contract'
import RunsPanel from '../runs/RunsPanel.vue'
import { client } from '../shared/client.ts'
import HandoutCues from './HandoutCues.vue'
import HandoutLink from './HandoutLink.vue'
import HandoutMessage from './HandoutMessage.vue'
import HandoutPaper from './HandoutPaper.vue'
import SendCopy from './SendCopy.vue'
import { useCalls } from './useCalls.ts'

const props = defineProps<{ id: string }>()
const { t } = useI18n()
const session = shallowRef<Session>()
const revision = ref(0)
const lastSent = shallowRef<Session>()
const publications = shallowRef<PublicationInfo[]>([])
const { problem, guarded } = useCalls('handout.nothing')

const load = () =>
  guarded(async () => {
    const [stored, list, last] = await Promise.all([
      client('readSession', { params: { id: props.id } }),
      client('listPublications', { params: { id: props.id } }),
      client('lastSent', { params: { id: props.id } }),
    ])
    session.value = stored.document
    revision.value = stored.revision
    publications.value = list.publications
    lastSent.value = last.document ?? undefined
  })
watch(() => props.id, load, { immediate: true })

function onPublished(added: PublicationInfo) {
  publications.value = [added, ...publications.value]
  lastSent.value = session.value
}
const onEnded = (ended: PublicationInfo) => {
  publications.value = publications.value.map((other) => (other.id === ended.id ? ended : other))
}
</script>

<template>
  <main class="handout">
    <router-link class="back" :to="{ name: 'compose', params: { id } }">‹ {{ t('handout.back') }}</router-link>
    <h1>{{ t('handout.title', { title: session?.title ?? '…' }) }}</h1>
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <div v-if="session" class="columns">
      <div class="stack">
        <HandoutLink
          :id="id"
          :session="session"
          :revision="revision"
          :last-sent="lastSent"
          :publications="publications"
          @published="onPublished"
          @ended="onEnded"
        />
        <HandoutMessage :publications="publications" />
        <SendCopy :id="id" :session="session" />
      </div>
      <div class="stack">
        <HandoutPaper :id="id" :session="session" />
        <HandoutCues :id="id" :session="session" />
        <section class="card">
          <h2>{{ t('desk.cameBack') }}</h2>
          <RunsPanel :session-id="id" />
        </section>
      </div>
    </div>
  </main>
</template>

<style scoped>
.handout {
  padding: 20px 24px 40px;
  max-width: 1240px;
}
.back {
  color: var(--action);
  text-decoration: none;
  font-weight: 700;
}
h1 {
  font-size: 26px;
  margin: 6px 0 18px;
}
.handout :deep(section.card) {
  padding: 16px;
}
.handout :deep(h2) {
  font-size: 17px;
  margin-bottom: 6px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
