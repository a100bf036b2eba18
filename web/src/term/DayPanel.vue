<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SessionSummary } from '@esfuerzo/contract'
import { comingsBefore, homeDays, type Term } from '@esfuerzo/core/term'

/** The contents of a day, its actions, and the sessions that could go there. */
const props = defineProps<{
  term: Term
  date: string
  sessions: readonly SessionSummary[]
  titles: ReadonlyMap<string, string>
}>()
const emit = defineEmits<{
  put: [session: string]
  clear: []
  pin: []
  free: []
  /** Makes the session's next step, and opens it. */
  step: []
}>()
const { t, locale } = useI18n()
const typed = ref<string | null>('')
const field = useTemplateRef<{ focus: () => void }>('field')

const place = computed(() => props.term.places.find((p) => p.date === props.date))
const day = computed(() => homeDays(props.term).find((d) => d.date === props.date))
const heading = computed(() => DateTime.fromISO(props.date).setLocale(locale.value).toFormat('cccc d LLLL'))
const open = computed(() => place.value?.made ?? place.value?.session)
const title = computed(() => props.titles.get(open.value ?? '') ?? place.value?.title ?? t('term.deleted'))
const isThere = computed(() => open.value !== undefined && props.titles.has(open.value))
/** It is a repeat without a next-step session yet. */
const wantsStep = computed(
  () =>
    place.value?.session !== undefined &&
    !place.value.made &&
    place.value.session !== props.term.tests &&
    comingsBefore(props.term, place.value) > 0,
)
const found = computed(() => {
  const words = (typed.value ?? '').trim().toLocaleLowerCase(locale.value)
  return props.sessions.filter((s) => s.title.toLocaleLowerCase(locale.value).includes(words))
})
/** Sessions ready for any day come first. */
const ordered = computed(() => {
  const isReady = ({ id }: SessionSummary) => props.term.storm.includes(id)
  return [...found.value.filter(isReady), ...found.value.filter((s) => !isReady(s))]
})
/** Every occurrence of the session on this day, with its step. */
const ladder = computed(() => {
  const session = place.value?.session
  if (!session || session === props.term.tests) return []
  const comings = props.term.places.filter((p) => p.session === session).sort((a, b) => (a.date < b.date ? -1 : 1))
  return comings.map((p, i) => {
    const coming = comingsBefore(props.term, p)
    return {
      date: p.date,
      day: DateTime.fromISO(p.date).setLocale(locale.value).toFormat('ccc d LLL'),
      // It came before, but too long ago to continue from.
      what: t(coming === 0 && i > 0 ? 'term.coming.anew' : `term.coming.${Math.min(coming, 2)}`),
      open: p.made ?? p.session,
    }
  })
})
const times = (id: string) => props.term.places.filter((p) => p.session === id).length
function onDragStart(event: DragEvent, id: string) {
  event.dataTransfer?.setData('text/x-esfuerzo-session', id)
}
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <section :aria-label="heading">
    <h2>{{ heading }}</h2>
    <p v-if="!day" class="quiet">{{ t('term.noHomeDay') }}</p>
    <p v-else-if="day.off" class="quiet">{{ t('term.offBecause', { name: day.off }) }}</p>
    <template v-if="day && !day.off">
      <p v-if="place?.session">
        <router-link v-if="isThere" :to="{ name: 'compose', params: { id: open } }">{{ title }}</router-link>
        <template v-else>{{ title }} <span class="care">{{ t('term.gone') }}</span></template>
      </p>
      <p v-else class="quiet">{{ t(place ? 'term.freeHow' : 'term.nothing') }}</p>
      <ol v-if="ladder.length > 1" class="ladder" :aria-label="t('term.ladder')">
        <li v-for="step in ladder" :key="step.date" :class="{ here: step.date === date }">
          <span class="num">{{ step.day }}</span> <span class="quiet">{{ step.what }}</span>
          <router-link v-if="titles.has(step.open!)" :to="{ name: 'compose', params: { id: step.open } }">{{
            titles.get(step.open!)
          }}</router-link>
        </li>
      </ol>
      <div class="do">
        <v-btn v-if="wantsStep && isThere" @click="emit('step')">{{ t('term.makeStep') }}</v-btn>
        <v-btn
          v-if="place?.session"
          :aria-pressed="Boolean(place.pinned)"
          :title="`${t('term.pin')} (P)`"
          @click="emit('pin')"
          >{{ t(place.pinned ? 'term.unpin' : 'term.pin') }}</v-btn
        >
        <v-btn v-if="!place || place.session" :title="`${t('term.keepFree')} (F)`" @click="emit('free')">{{
          t('term.keepFree')
        }}</v-btn>
        <v-btn v-if="place" :title="`${t('term.clear')} (Del)`" @click="emit('clear')">{{ t('term.clear') }}</v-btn>
      </div>
      <v-text-field ref="field" v-model="typed" :label="t('term.find')" clearable />
      <p v-if="!sessions.length" class="quiet">{{ t('term.noSessions') }}</p>
      <p v-else-if="!found.length" class="quiet">{{ t('term.noneFound') }}</p>
      <ul>
        <li v-for="s in ordered" :key="s.id">
          <button type="button" draggable="true" @dragstart="onDragStart($event, s.id)" @click="emit('put', s.id)">
            <span class="name"
              >{{ s.title }} <small v-if="term.storm.includes(s.id)" class="quiet">{{ t('term.ready') }}</small></span
            >
            <span class="quiet num">{{ t('desk.minutes', { n: s.minutes }) }}</span>
            <span v-if="times(s.id)" class="quiet num">{{ t('term.times', { n: times(s.id) }) }}</span>
          </button>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
  align-content: start;
}
h2 {
  font-size: 19px;
}
a {
  color: var(--action);
  font-weight: 700;
}
.ladder {
  margin: 0;
  padding-left: 22px;
}
.ladder .num {
  display: inline-block;
  min-width: 92px;
}
.ladder a {
  margin-left: 8px;
}
.ladder .here .num {
  font-weight: 700;
}
ul {
  max-height: 420px;
  overflow-y: auto;
}
li button {
  width: 100%;
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 7px 6px;
  font: inherit;
  color: var(--ink);
  text-align: left;
  background: none;
  border: 0;
  border-top: 1px solid var(--hair);
  cursor: pointer;
}
li button:hover {
  background: var(--action-soft);
}
li button:focus-visible {
  outline-offset: -3px;
}
.name {
  flex: 1;
  min-width: 0;
}
</style>
