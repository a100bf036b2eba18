<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { DateTime } from 'luxon'
import { computed, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { callCode, type SessionSummary } from '@esfuerzo/contract'
import { goesSoon } from '@esfuerzo/core/classBook'
import { planText } from '@esfuerzo/core/oldPlans'
import { client } from '../shared/client.ts'
import { useSettings } from '../settings/store.ts'
import { useAccount } from '../signin/account.ts'
import BeginFromText from './BeginFromText.vue'
import { anySession, findSessions } from './findSessions.ts'
import ImportSession from './ImportSession.vue'
import NewSessionDialog from './NewSessionDialog.vue'
import PlansDialog from './PlansDialog.vue'
import { leftWords } from './leftWords.ts'
import { removing } from './removing.ts'
import { runningTerms, type RunningTerm } from './runningTerms.ts'
import { usePlans, type PlanFile, type PlanSession } from '../reading/usePlans.ts'
import RunItem from '../runs/RunItem.vue'
import { useRuns } from '../runs/useRuns.ts'
import SessionFinder from './SessionFinder.vue'
import SessionItem from './SessionItem.vue'
import ThisWeek from './ThisWeek.vue'

const { t, locale } = useI18n()
const account = useAccount()
const settings = useSettings()
void settings.load()
const router = useRouter()
const sessions = shallowRef<SessionSummary[]>()
const { runs, left, problem: runsProblem, load: loadRuns, more, remove } = useRuns()
const problem = ref('')
/** Classes whose results are deleted within a month. */
const going = shallowRef<{ id: string; name: string; date: string }[]>([])
const running = shallowRef<RunningTerm[]>([])
const adding = ref(false)
const reading = ref(false)
const pasted = ref('')
/** The file a text came from. */
const from = shallowRef<{ key: string; name: string; left: string[] }>()
function onText(text = '') {
  pasted.value = text
  from.value = undefined
  reading.value = true
}

const plans = usePlans()
const listing = ref(false)
const files = useTemplateRef('files')
/** A single plan with one session is opened at once; several are listed. */
async function onPlans(chosen: readonly File[]) {
  listing.value = true
  const read = await plans.add(chosen)
  const [first] = read
  if (plans.files.length === 1 && read.length === 1 && first!.sessions.length === 1) onLook(first!.sessions[0]!, first!)
}
function onLook(session: PlanSession, { name, left }: PlanFile) {
  listing.value = false
  pasted.value = session.text
  from.value = { key: session.key, name, left: leftWords(left, t) }
  reading.value = true
}
const onMade = (session: { id: string; title: string }) => from.value && plans.made(from.value.key, session)
/** Sessions of imported plans that nobody has used yet. */
const waiting = computed(() => plans.files.flatMap((f) => f.sessions).filter((s) => !s.made).length)
// A plan pasted onto the page is shown; a session's file is imported directly.
useEventListener(document, 'paste', (event: ClipboardEvent) => {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  const html = event.clipboardData?.getData('text/html') ?? ''
  if (event.target instanceof Element && event.target.closest('input, textarea')) return
  if (text.trimStart().startsWith('{') || !text.trim().includes('\n')) return
  // The dialog has a field, which would get the same text again.
  event.preventDefault()
  // A table keeps its columns, headings their level.
  if (/<(?:table|h[1-6]|li)\b/i.test(html))
    void import('@esfuerzo/plans/html').then(({ blocksOfHtml }) => onText(planText(blocksOfHtml(html)) || text))
  else onText(text)
})
const removed = shallowRef<SessionSummary>()

const drafts = computed(() => sessions.value?.filter((w) => !w.sentAt) ?? [])
/** With fewer sessions than this, they are found at a glance. */
const many = 8
const wanted = ref(anySession())
const shown = computed(() => findSessions(sessions.value ?? [], wanted.value))
const parts = computed(() =>
  Object.entries({
    drafts: shown.value.filter((w) => !w.sentAt),
    sent: shown.value.filter((w) => w.sentAt),
  }).filter(([, list]) => list.length),
)
// Counted by the server: only the latest runs are listed.
const cameBack = computed(() => (sessions.value ?? []).reduce((n, w) => n + w.runs, 0))

async function load() {
  problem.value = ''
  try {
    // Everything with a place of its own appears together: a button about to be pressed must not move.
    const [{ workouts }, terms, classes] = await Promise.all([
      client('listSessions', {}),
      runningTerms(),
      classesGoing(),
      loadRuns(),
    ])
    running.value = terms
    going.value = classes
    sessions.value = workouts
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
/** A zone the server could not use, until she has chosen another. */
const lostZone = computed(() => (settings.settings?.zone === 'UTC' ? account.teacher?.unknownZone : undefined))
/** What will be deleted soon is announced here too; without a connection, the class's own page says it. */
async function classesGoing() {
  const { classes } = await client('listClasses', {}).catch(() => ({ classes: [] }))
  const today = DateTime.now().toISODate()
  return classes.flatMap((schoolClass) => {
    const date = schoolClass.pupils > 0 && goesSoon(schoolClass, today)
    return date ? [{ id: schoolClass.id, name: schoolClass.name, date }] : []
  })
}
onMounted(load)

async function onRemove(session: SessionSummary) {
  try {
    await removing(client('removeSession', { params: { id: session.id } }))
    sessions.value = sessions.value?.filter((w) => w.id !== session.id)
    removed.value = session
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
/** A new session that starts as a copy of another. */
async function onStartFrom(session: SessionSummary) {
  try {
    const { document } = await client('readSession', { params: { id: session.id } })
    const title = `${document.title.slice(0, 110)} ${t('desk.again')}`
    const { id } = await client('createSession', { body: { document: { ...document, title } } })
    await router.push({ name: 'compose', params: { id } })
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
async function onRestore() {
  if (removed.value) await client('restoreSession', { params: { id: removed.value.id } })
  removed.value = undefined
  await load()
}
</script>

<template>
  <main class="desk">
    <header>
      <div>
        <h1>{{ t('desk.title', { name: account.teacher?.name ?? '' }) }}</h1>
        <p class="quiet">{{ sessions ? t('desk.summary', { drafts: drafts.length, runs: cameBack }) : '' }}</p>
      </div>
      <div class="begin">
        <ImportSession ref="files" @plans="onPlans" />
        <v-btn @click="onText()">{{ t('reading.open') }}</v-btn>
        <v-btn :to="{ name: 'draft' }">{{ t('draft.title') }}</v-btn>
        <v-btn class="main" @click="adding = true">{{ t('desk.new') }}</v-btn>
      </div>
    </header>
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <p v-else-if="!sessions" class="quiet">{{ t('loading') }}</p>
    <p v-if="lostZone" class="card care going" role="status">
      {{ t('desk.unknownZone', { zone: lostZone }) }}
      <router-link :to="{ name: 'settings', hash: '#days' }">{{ t('desk.chooseZone') }}</router-link>
    </p>
    <p v-for="c in going" :key="c.id" class="card care going" role="status">
      {{ t('desk.going', { name: c.name, date: DateTime.fromISO(c.date).setLocale(locale).toFormat('d LLL yyyy') }) }}
      <router-link :to="{ name: 'class', params: { classId: c.id } }">{{ t('desk.toClass') }}</router-link>
    </p>
    <p v-if="waiting" class="card going" role="status">
      {{ t('plans.waiting', { n: waiting }) }}
      <button type="button" class="link" @click="listing = true">{{ t('plans.show') }}</button>
    </p>
    <ThisWeek v-if="sessions?.length" :sessions="sessions" :terms="running" />
    <SessionFinder
      v-if="sessions && sessions.length > many"
      v-model="wanted"
      :found="shown.length"
      :total="sessions.length"
    />
    <div v-if="sessions" class="columns">
      <div class="stack">
        <section v-if="!sessions.length" class="card empty">
          <h2>{{ t('desk.emptyTitle') }}</h2>
          <p>{{ t('desk.emptyText') }}</p>
          <v-btn class="main" @click="adding = true">{{ t('desk.new') }}</v-btn>
        </section>
        <section v-for="[part, list] in parts" :key="part" class="card" :aria-labelledby="part">
          <h2 :id="part">{{ t(`desk.${part}`) }}</h2>
          <ul>
            <SessionItem
              v-for="w in list"
              :key="w.id"
              :session="w"
              @remove="onRemove(w)"
              @start-from="onStartFrom(w)"
            />
          </ul>
        </section>
        <p><router-link class="quiet" :to="{ name: 'bin' }">{{ t('bin.title') }}</router-link></p>
      </div>
      <section class="card" aria-labelledby="back">
        <h2 id="back">{{ t('desk.cameBack') }}</h2>
        <p v-if="runsProblem" class="care pad">{{ t(`errors.${runsProblem}`) }}</p>
        <p v-else-if="runs && !runs.length" class="quiet pad">{{ t('runs.none') }}</p>
        <ul>
          <RunItem v-for="run in runs" :key="run.run.id" :run="run" @remove="remove(run)" />
        </ul>
        <div v-if="left" class="pad">
          <v-btn @click="more">{{ t('desk.more', { n: left }) }}</v-btn>
        </div>
      </section>
    </div>
    <NewSessionDialog v-model="adding" />
    <BeginFromText v-model="reading" :pasted="pasted" :file="from?.name" :left="from?.left" @made="onMade" />
    <PlansDialog v-model="listing" @look="onLook" @add="files?.open()" />
    <v-snackbar :model-value="removed !== undefined" @update:model-value="removed = undefined">
      {{ t('desk.removed', { title: removed?.title }) }}
      <template #actions><v-btn @click="onRestore">{{ t('undo') }}</v-btn></template>
    </v-snackbar>
  </main>
</template>

<style scoped>
.desk {
  padding: 20px 24px 40px;
  max-width: 1240px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  margin-bottom: 18px;
}
.begin {
  display: flex;
  flex-wrap: wrap;
  justify-content: end;
  gap: 10px;
}
header p {
  margin: 4px 0 0;
}
.going a {
  color: var(--action);
  font-weight: 700;
}
.going {
  margin: 0 0 14px;
  padding: 10px 16px;
}
section {
  padding: 14px 0 6px;
}
h2 {
  font-size: 17px;
  padding: 0 16px 8px;
}
.pad,
.empty {
  padding: 16px;
}
.empty h2 {
  padding: 0;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 640px) {
  .desk {
    padding: 16px 12px 24px;
  }
  header {
    flex-direction: column;
    align-items: stretch;
  }
  .begin {
    display: grid;
    grid-template-columns: 1fr 1fr;
  }
}
</style>
