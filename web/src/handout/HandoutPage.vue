<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText, timeline, totals, type Workout } from '@esfuerzo/core'
import { CallError, type PublicationInfo } from '@esfuerzo/contract'
import RunsPanel from '../compose/RunsPanel.vue'
import { client } from '../shared/client.ts'
import LaneKey from '../shared/lanes/LaneKey.vue'
import { library } from '../teacher/library.ts'
import SendCopy from './SendCopy.vue'

const props = defineProps<{ id: string }>()
const { t, locale } = useI18n()
const workout = shallowRef<Workout>()
const revision = ref(0)
const publications = shallowRef<PublicationInfo[]>([])
const problem = ref('')
const busy = ref(false)
const copied = ref('')
const days = ref(14)

async function guarded(action: () => Promise<void>) {
  problem.value = ''
  busy.value = true
  try {
    await action()
  } catch (error) {
    if (!(error instanceof CallError)) throw error
    problem.value = error.code === 'invalid' ? t('handout.nothing') : t(`errors.${error.code}`)
  } finally {
    busy.value = false
  }
}
const load = () =>
  guarded(async () => {
    const [stored, list] = await Promise.all([
      client('readWorkout', { params: { id: props.id } }),
      client('listPublications', { params: { id: props.id } }),
    ])
    workout.value = stored.document
    revision.value = stored.revision
    publications.value = list.publications
  })
watch(() => props.id, load, { immediate: true })

const lanes = computed(() =>
  (workout.value?.groups ?? []).map((group) => {
    const { typical } = totals(timeline(workout.value!, group.id, library), group, library).session.seconds
    return { ...group, total: minutesText(typical), late: typical > workout.value!.minutes * 60 }
  }),
)
const linkOf = (p: PublicationInfo) => `${location.origin}/go/${p.token}`
const isLive = (p: PublicationInfo) => !p.endedAt && Date.parse(p.endsAt) > Date.now()
const dateText = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toLocaleString(DateTime.DATE_MED)

const onPublish = () =>
  guarded(async () => {
    const added = await client('publishWorkout', {
      params: { id: props.id },
      body: { revision: revision.value, days: days.value },
    })
    publications.value = [added, ...publications.value]
  })
const onEnd = (p: PublicationInfo) =>
  guarded(async () => {
    const ended = await client('endPublication', { params: { id: p.id } })
    publications.value = publications.value.map((other) => (other.id === p.id ? ended : other))
  })
async function onCopy(p: PublicationInfo) {
  try {
    await navigator.clipboard.writeText(linkOf(p))
    copied.value = p.id
  } catch {
    problem.value = t('handout.noClipboard')
  }
}
</script>

<template>
  <main class="handout">
    <router-link class="back" :to="{ name: 'compose', params: { id } }">‹ {{ t('handout.back') }}</router-link>
    <h1>{{ t('handout.title', { title: workout?.title ?? '…' }) }}</h1>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <div class="columns">
      <div class="stack">
        <section class="card">
          <h2>{{ t('handout.link') }}</h2>
          <p>{{ t('handout.lead') }}</p>
          <p class="lanes">
            <span v-for="lane in lanes" :key="lane.id"
              ><LaneKey :letter="lane.letter" :name="lane.name" />
              <b class="num" :class="{ care: lane.late }">{{ lane.total }}</b></span
            >
          </p>
          <div class="make">
            <v-select
              v-model="days"
              :items="[7, 14, 30, 90].map((value) => ({ value, title: t('handout.days', { n: value }) }))"
              :label="t('handout.until')"
            />
            <v-btn class="main" :loading="busy" @click="onPublish">{{
              t(publications.length ? 'handout.again' : 'handout.make')
            }}</v-btn>
          </div>
          <ul>
            <li v-for="p in publications" :key="p.id" :class="{ over: !isLive(p) }">
              <div>
                <a v-if="isLive(p)" :href="linkOf(p)" target="_blank" rel="noopener" class="address">{{ linkOf(p) }}</a>
                <span v-else>{{ t('handout.ended') }}</span>
                <small class="quiet">{{
                  t('handout.about', { made: dateText(p.createdAt), ends: dateText(p.endedAt ?? p.endsAt), n: p.runs })
                }}</small>
              </div>
              <template v-if="isLive(p)">
                <v-btn @click="onCopy(p)">{{ t(copied === p.id ? 'handout.copied' : 'handout.copy') }}</v-btn>
                <v-btn class="plain" @click="onEnd(p)">{{ t('handout.end') }}</v-btn>
              </template>
            </li>
          </ul>
          <p class="quiet small">{{ t('handout.copies') }}</p>
        </section>
        <SendCopy v-if="workout" :id="id" :workout="workout" />
      </div>
      <section class="card">
        <h2>{{ t('desk.cameBack') }}</h2>
        <RunsPanel :workout-id="id" />
      </section>
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
h2 {
  font-size: 17px;
  margin-bottom: 6px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 18px;
  align-items: start;
}
.stack {
  display: grid;
  gap: 18px;
}
section {
  padding: 16px;
}
.lanes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
}
.lanes > span {
  display: inline-flex;
  gap: 8px;
}
.make {
  display: grid;
  grid-template-columns: 220px auto;
  gap: 12px;
  justify-content: start;
  align-items: center;
}
ul {
  list-style: none;
  margin: 16px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--hair);
}
li.over {
  color: var(--quiet);
}
.address {
  color: var(--action);
  overflow-wrap: anywhere;
}
small {
  display: block;
}
.small {
  font-size: 14px;
  margin-bottom: 0;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
