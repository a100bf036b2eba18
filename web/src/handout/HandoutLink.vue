<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText, sessionView, type Language, type Session } from '@esfuerzo/core'
import { findingText } from '@esfuerzo/core/checks'
import type { PublicationInfo, SchoolClass } from '@esfuerzo/contract'
import { differenceLines } from '../documents/differenceLines.ts'
import { client } from '../shared/client.ts'
import LaneKey from '../shared/lanes/LaneKey.vue'
import { sendingProblemText } from '../documents/sendingProblemText.ts'
import { library } from '../repertoire/library.ts'
import ClassChoice from './ClassChoice.vue'
import LinkCode from './LinkCode.vue'
import { useSettings } from '../settings/store.ts'
import { isStopped, sendingLooks, sendingProblems, type SendingLook } from './sendingLooks.ts'
import { useCalls } from './useCalls.ts'

/** Links for families: changes since the last one, open findings, and creating, showing and ending a link. */
const props = defineProps<{
  id: string
  session: Session
  revision: number
  lastSent: Session | undefined
  publications: readonly PublicationInfo[]
}>()
const emit = defineEmits<{ published: [added: PublicationInfo]; ended: [ended: PublicationInfo] }>()
const { t, locale } = useI18n()
const { busy, problem, guarded } = useCalls('handout.nothing')

const lanes = computed(() =>
  sessionView(props.session, library).map(({ group, totals, tooLong }) => {
    const { typical } = totals.session.seconds
    const total = tooLong ? t('lanes.over', { total: minutesText(typical) }) : minutesText(typical)
    return { ...group, total, late: typical > props.session.minutes * 60 }
  }),
)
const changes = computed(() => {
  const before = props.lastSent
  return before ? differenceLines(before, props.session, t) : undefined
})
const lookText = (look: SendingLook): string => {
  if (look.code !== 'check') return t(`handout.look.${look.code}`)
  const { what } = findingText(look.finding, locale.value as Language)
  const groups = props.session.groups.filter((g) => look.finding.groups.includes(g.id))
  const some = groups.length > 0 && groups.length < props.session.groups.length
  return some ? t('handout.look.some', { what, letters: groups.map((g) => g.letter).join(', ') }) : what
}
const settings = useSettings()
void settings.load()
const found = computed(() => sendingLooks(props.session, library, settings.settings?.checks))
const stops = computed(() => found.value.filter(isStopped).map(lookText))
const looks = computed(() => found.value.filter((look) => !isStopped(look)).map(lookText))

const blocked = computed(() => sendingProblems(props.session, library).map((p) => sendingProblemText(p, t)))

const iso = (days: number) => DateTime.now().plus({ days }).toISODate()
const until = ref(iso(14))
const days = computed(() => {
  const end = DateTime.fromISO(until.value).endOf('day')
  // It ends on that day, at the time of day it was created.
  const whole = Math.floor(end.diffNow('days').days)
  return end.isValid && whole >= 1 && whole <= 365 ? whole : undefined
})
const classId = ref<string>()
const classes = shallowRef<SchoolClass[]>([])
const className = (p: PublicationInfo) =>
  p.classId ? (classes.value.find((c) => c.id === p.classId)?.name ?? '…') : t('handout.all')

const linkOf = (p: PublicationInfo) => `${location.origin}/go/${p.token}`
const isLive = (p: PublicationInfo) => !p.endedAt && Date.parse(p.endsAt) > Date.now()
const dateText = (moment: string) => DateTime.fromISO(moment).setLocale(locale.value).toLocaleString(DateTime.DATE_MED)
const copied = ref('')
const coded = ref('')

const onPublish = () =>
  guarded(async () => {
    const added = await client('publishSession', {
      params: { id: props.id },
      body: { revision: props.revision, days: days.value!, ...(classId.value && { classId: classId.value }) },
    })
    emit('published', added)
  })
/** The link about to be ended: its reason is asked. */
const ending = ref('')
/** @param misused then even earlier runs are no longer accepted */
const onEnd = (p: PublicationInfo, misused: boolean) =>
  guarded(async () => {
    ending.value = ''
    emit('ended', await client('endPublication', { params: { id: p.id }, body: misused ? { misused } : {} }))
  })
/** Results of a link that fell into the wrong hands. */
const onRemoveRuns = (p: PublicationInfo) =>
  guarded(async () => {
    ending.value = ''
    await client('removeRuns', { params: { id: p.id } })
    emit('ended', { ...p, runs: 0 })
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
  <section class="card" aria-labelledby="hand-link">
    <h2 id="hand-link">{{ t('handout.link') }}</h2>
    <p>{{ t('handout.lead') }}</p>
    <p class="lanes">
      <span v-for="lane in lanes" :key="lane.id"
        ><LaneKey :letter="lane.letter" :name="lane.name" />
        <b class="num" :class="{ care: lane.late }">{{ lane.total }}</b></span
      >
    </p>
    <details v-if="changes?.length" open>
      <summary>{{ t('handout.changes', changes.length) }}</summary>
      <ul class="plain">
        <li v-for="line in changes.slice(0, 12)" :key="line">{{ line }}</li>
        <li v-if="changes.length > 12">{{ t('handout.moreChanges', { n: changes.length - 12 }) }}</li>
      </ul>
    </details>
    <p v-else-if="changes" class="quiet">{{ t('handout.unchanged') }}</p>
    <div v-if="stops.length" class="care blocked" role="status">
      <p>{{ t('handout.stops', stops.length) }}</p>
      <ul class="plain">
        <li v-for="line in stops" :key="line">{{ line }}</li>
      </ul>
      <router-link class="address" :to="{ name: 'compose', params: { id }, query: { panel: 'look' } }">{{
        t('handout.mend')
      }}</router-link>
    </div>
    <details v-if="looks.length" open>
      <summary>{{ t('handout.looks') }}</summary>
      <ul class="plain">
        <li v-for="line in looks" :key="line">{{ line }}</li>
      </ul>
    </details>
    <div v-if="blocked.length" class="care blocked" role="status">
      <p>{{ t('handout.blocked') }}</p>
      <ul class="plain">
        <li v-for="line in blocked" :key="line">{{ line }}</li>
      </ul>
    </div>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <div class="make">
      <ClassChoice v-model="classId" :groups="session.groups" @classes="classes = $event" />
      <v-text-field v-model="until" type="date" :label="t('handout.until')" :min="iso(1)" :max="iso(364)" />
      <v-btn
        class="main"
        :loading="busy"
        :disabled="!days || blocked.length > 0 || stops.length > 0"
        @click="onPublish"
        >{{ t(publications.length ? 'handout.again' : 'handout.make') }}</v-btn
      >
    </div>
    <ul class="links">
      <li v-for="p in publications" :key="p.id" :class="{ over: !isLive(p) }">
        <div>
          <a v-if="isLive(p)" :href="linkOf(p)" target="_blank" rel="noopener" class="address">{{ linkOf(p) }}</a>
          <span v-else>{{ t('handout.ended') }}</span>
          <small class="quiet">{{
            t('handout.about', {
              who: className(p),
              made: dateText(p.createdAt),
              ends: dateText(p.endedAt ?? p.endsAt),
              n: p.runs,
            })
          }}</small>
          <LinkCode v-if="coded === p.id" :link="linkOf(p)" :title="session.title" />
        </div>
        <template v-if="isLive(p)">
          <v-btn @click="onCopy(p)">{{ t(copied === p.id ? 'handout.copied' : 'handout.copy') }}</v-btn>
          <v-btn :aria-expanded="coded === p.id" @click="coded = coded === p.id ? '' : p.id">{{
            t('handout.code')
          }}</v-btn>
          <v-btn class="plain" :aria-expanded="ending === p.id" @click="ending = ending === p.id ? '' : p.id">{{
            t('handout.end')
          }}</v-btn>
          <div v-if="ending === p.id" class="ending" role="group" :aria-label="t('handout.end')">
            <p>{{ t('handout.endHow') }}</p>
            <v-btn @click="onEnd(p, false)">{{ t('handout.endNow') }}</v-btn>
            <v-btn class="danger" @click="onEnd(p, true)">{{ t('handout.endMisused') }}</v-btn>
          </div>
        </template>
        <template v-else-if="p.runs">
          <v-btn class="plain" :aria-expanded="ending === p.id" @click="ending = ending === p.id ? '' : p.id">{{
            t('handout.removeRuns')
          }}</v-btn>
          <div v-if="ending === p.id" class="ending" role="group" :aria-label="t('handout.removeRuns')">
            <p>{{ t('handout.removeRunsHow', p.runs) }}</p>
            <v-btn class="danger" @click="onRemoveRuns(p)">{{ t('runs.removeNow') }}</v-btn>
          </div>
        </template>
      </li>
    </ul>
    <p class="quiet small">{{ t('handout.copies') }}</p>
  </section>
</template>

<style scoped>
.lanes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
}
.lanes > span {
  display: inline-flex;
  gap: 8px;
}
details {
  margin-bottom: 10px;
}
summary {
  font-weight: 700;
  cursor: pointer;
}
.blocked {
  margin-bottom: 14px;
}
ul.plain {
  margin: 4px 0;
  padding-left: 22px;
}
.make {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 170px auto;
  gap: 12px;
  align-items: start;
}
ul.links {
  margin: 16px 0 0;
}
.links li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  gap: 8px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--hair);
}
.ending {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.ending p {
  flex: 1 1 100%;
  margin: 0;
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
@media (max-width: 700px) {
  .make,
  .links li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
