<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, onMounted, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { checkSession } from '@esfuerzo/core/checks'
import { homeDays, type HomeDay, type Place } from '@esfuerzo/core/term'
import type { SessionSummary } from '@esfuerzo/contract'
import { library } from '../repertoire/library.ts'
import { client } from '../shared/client.ts'
import { useSettings } from '../settings/store.ts'
import type { RunningTerm } from './runningTerms.ts'

/** This week in the current terms: what is due, whether it was sent, its results, and checks before sending. */
const props = defineProps<{ sessions: readonly SessionSummary[]; terms: readonly RunningTerm[] }>()
const { t, locale } = useI18n()
const settings = useSettings()

interface Due {
  term: string
  day: HomeDay
  place: Place
  title: string
  /** The session in its revision for that day. */
  session: string
  isOut: boolean
  homes: number
  children: number | null
}
/** Findings of sessions that were not sent yet. */
const looks = shallowRef<ReadonlyMap<string, number>>(new Map())

const today = DateTime.now().toISODate()
/** A session sent home at most this many days before its day counts as sent for it. Ours. */
const recently = 10

function dueIn({ id, document, homes, children, week }: RunningTerm): Due[] {
  const days = homeDays(document).filter((d) => !d.off && d.week === week)
  return days.flatMap((day): Due[] => {
    const place = document.places.find((p) => p.date === day.date)
    const session = place?.made ?? place?.session
    const summary = props.sessions.find((w) => w.id === session)
    if (!place || !session || !summary) return []
    const since = DateTime.fromISO(day.date).minus({ days: recently }).toISODate()!
    const isOut = summary.sentAt !== null && summary.sentAt.slice(0, 10) >= since
    return [{ term: id, day, place, title: summary.title, session, isOut, homes: homes.get(place.id) ?? 0, children }]
  })
}
const due = computed(() => props.terms.flatMap(dueIn))

onMounted(async () => {
  await settings.load().catch(() => undefined)
  const found = new Map<string, number>()
  for (const { session, isOut } of due.value) {
    if (isOut || found.has(session)) continue
    // Without a connection, nothing is shown about it.
    const read = await client('readSession', { params: { id: session } }).catch(() => undefined)
    if (!read) continue
    const said = checkSession(read.document, library, { policies: settings.settings?.checks ?? {} })
    found.set(session, said.filter((f) => f.level !== 'note' && f.answered === undefined).length)
  }
  looks.value = found
})
const rows = computed(() =>
  due.value.map((d) => ({
    ...d,
    when: DateTime.fromISO(d.day.date).setLocale(locale.value).toFormat('cccc'),
    isToday: d.day.date === today,
    back: d.children === null ? t('term.homes', { n: d.homes }) : t('term.homesOf', { n: d.homes, of: d.children }),
    look: looks.value.get(d.session) ?? 0,
  })),
)
</script>

<template>
  <section v-if="rows.length" class="card week" aria-labelledby="this-week">
    <h2 id="this-week">{{ t('desk.thisWeek') }}</h2>
    <ul>
      <li v-for="row in rows" :key="`${row.term} ${row.place.id}`" :class="{ today: row.isToday }">
        <span class="when">{{ row.when }}</span>
        <router-link :to="{ name: 'compose', params: { id: row.session } }">{{ row.title }}</router-link>
        <span v-if="row.homes" class="quiet num">{{ row.back }}</span>
        <span v-else-if="row.isOut" class="quiet">{{ t('desk.isOut') }}</span>
        <template v-else>
          <router-link
            v-if="row.look"
            :to="{ name: 'compose', params: { id: row.session }, query: { panel: 'look' } }"
            >{{ t('desk.look', { n: row.look }) }}</router-link
          >
          <v-btn :to="{ name: 'handout', params: { id: row.session } }">{{ t('compose.handOut') }}</v-btn>
        </template>
        <span class="grow" />
        <router-link class="quiet" :to="{ name: 'term', params: { id: row.term } }">{{ t('desk.toTerm') }}</router-link>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.week {
  margin-bottom: 18px;
}
h2 {
  margin: 0;
  padding: 12px 16px 2px;
  font-size: 18px;
}
ul {
  padding: 0 16px 10px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  min-height: 44px;
}
li + li {
  border-top: 1px solid var(--hair);
}
.when {
  width: 96px;
}
.today .when {
  font-weight: 700;
}
a:not(.v-btn) {
  padding: 4px 0;
  color: var(--action);
  font-weight: 700;
}
a.quiet:not(.v-btn) {
  color: var(--quiet);
  font-weight: 400;
}
</style>
