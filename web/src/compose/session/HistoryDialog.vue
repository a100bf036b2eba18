<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { cleanText, minutesText, sessionView, type Session } from '@esfuerzo/core'
import { callCode, type KeptRevision } from '@esfuerzo/contract'
import { client } from '../../shared/client.ts'
import { i18n } from '../../words/i18n.ts'
import { library } from '../../repertoire/library.ts'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { differenceLines } from '../../documents/differenceLines.ts'
import { rowsOf } from '../order/rows.ts'
import { useSession } from './useSession.ts'
import { useMessages } from '../useMessages.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import AppDialog from '../../shared/dialog/AppDialog.vue'

/** The revisions of this session: view any, name it, restore it. */
const open = defineModel<boolean>({ required: true })
const { t, locale } = useI18n()
const session = useSession()
const messages = useMessages()
const cursor = useCursor()
const edits = useEdits()
const versions = shallowRef<KeptRevision[]>()
const shown = shallowRef<KeptRevision & { document: Session }>()
const problem = ref('')
const name = ref('')

async function tried<T>(work: () => Promise<T>): Promise<T | undefined> {
  problem.value = ''
  try {
    return await work()
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
    return undefined
  }
}
watch(open, (on) => on && void load(), { immediate: true })
async function load() {
  shown.value = undefined
  await session.flush()
  versions.value = (await tried(() => client('listRevisions', { params: { id: session.id } })))?.versions
  if (versions.value?.[0]) await look(versions.value[0])
}
async function look(version: KeptRevision) {
  shown.value = await tried(() => client('readRevision', { params: { id: session.id, version: version.id } }))
  name.value = shown.value?.name ?? ''
}
const when = (version: KeptRevision) =>
  DateTime.fromISO(version.savedAt).setLocale(locale.value).toLocaleString(DateTime.DATETIME_MED_WITH_WEEKDAY)
const label = (version: KeptRevision) =>
  version.name ?? (version.reason === 'published' ? t('history.published') : t('history.worked'))

const differing = computed(() =>
  shown.value ? differenceLines(shown.value.document, session.document, i18n.global.t) : [],
)
const rows = computed(() =>
  shown.value ? rowsOf(shown.value.document, library, i18n.global.t).filter((r) => r.kind !== 'empty') : [],
)
const lengths = computed(() =>
  (shown.value ? sessionView(shown.value.document, library) : []).map(({ group, totals }) => ({
    group,
    length: minutesText(totals.session.seconds.typical),
  })),
)
async function onName() {
  const version = shown.value
  const line = cleanText(name.value, 'line').trim()
  if (!version || line === (version.name ?? '')) return
  const named = await tried(() =>
    client('nameRevision', { params: { id: session.id, version: version.id }, body: { name: line } }),
  )
  if (!named) return
  shown.value = { ...version, ...named }
  versions.value = versions.value?.map((v) => (v.id === named.id ? named : v))
}
function onRestore() {
  const { document } = shown.value!
  if (!edits.edit(() => document)) return
  cursor.select(undefined)
  messages.say({ text: 'broughtBack', undo: true })
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" :title="t('history.title')" :width="960">
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <p v-else-if="!versions" class="quiet">{{ t('loading') }}</p>
    <div v-else class="history">
      <ul :aria-label="t('history.states')">
        <li v-for="version in versions" :key="version.id">
          <button
            type="button"
            :class="{ on: version.id === shown?.id }"
            :aria-current="version.id === shown?.id"
            @click="look(version)"
          >
            <b>{{ label(version) }}</b>
            <small class="quiet">{{ when(version) }}</small>
          </button>
        </li>
      </ul>
      <div v-if="shown" class="state">
        <v-text-field
          v-model="name"
          :label="t('history.name')"
          maxlength="120"
          @blur="onName"
          @keydown.enter.prevent="onName"
        />
        <p class="lengths">
          <span v-for="lane in lengths" :key="lane.group.id"
            ><LaneKey :letter="lane.group.letter" :name="lane.group.name" />
            <b class="num">{{ lane.length }}</b></span
          >
        </p>
        <h3>{{ t('history.since') }}</h3>
        <p v-if="!differing.length" class="quiet">{{ t('history.same') }}</p>
        <ul v-else class="plain-list">
          <li v-for="line in differing" :key="line">{{ line }}</li>
        </ul>
        <h3>{{ t('history.then') }}</h3>
        <ol class="rows">
          <li v-for="row in rows" :key="row.id" :class="row.kind">
            {{ row.kind === 'station' ? `${row.n}. ${row.name}` : edits.nameOf(row) }}
            <span class="quiet">{{
              row.spans.map((s) => [s.text, s.dose].filter(Boolean).join(' ')).join(' | ')
            }}</span>
          </li>
        </ol>
      </div>
    </div>
    <template #actions>
      <v-btn @click="open = false">{{ t('close') }}</v-btn>
      <v-btn class="main" :disabled="!differing.length" @click="onRestore">{{ t('history.restore') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
.history {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}
.history > ul button {
  display: grid;
  width: 100%;
  min-height: 40px;
  padding: 6px 10px;
  border: 0;
  border-radius: 4px;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.history > ul .on {
  background: var(--action-soft);
}
.state {
  display: grid;
  gap: 10px;
  position: sticky;
  top: 0;
}
h3 {
  font-size: 15px;
}
.lengths span {
  display: inline-flex;
  gap: 8px;
}
.lengths {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.plain-list {
  padding-left: 18px;
  list-style: disc;
}
.rows li {
  padding: 3px 0;
  border-top: 1px solid var(--hair);
  font-size: 14px;
}
.rows .section {
  font-weight: 700;
}
.rows .section .quiet {
  font-weight: 400;
}
@media (max-width: 760px) {
  .history {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
