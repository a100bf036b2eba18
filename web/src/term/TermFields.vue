<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { cleanText } from '@esfuerzo/core'
import type { SchoolClass, SessionSummary } from '@esfuerzo/contract'
import { strandedPlaces, termLimits, type Term } from '@esfuerzo/core/term'
import NumberField from '../shared/fields/NumberField.vue'
import { client } from '../shared/client.ts'

/** A term's dates, weekdays and holidays; its class; its rainy-day sessions. */
const props = defineProps<{ term: Term; sessions: readonly SessionSummary[]; titles: ReadonlyMap<string, string> }>()
const emit = defineEmits<{ change: [change: (term: Term) => Term, merge?: string] }>()
const { t, locale } = useI18n()
const set = (change: Partial<Term>, merge?: string) => emit('change', (term) => ({ ...term, ...change }), merge)

const classes = shallowRef<readonly SchoolClass[]>([])
onMounted(async () => {
  classes.value = (await client('listClasses', {}).catch(() => ({ classes: [] }))).classes
})
const weekdays = computed(() =>
  [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({
    weekday,
    name: DateTime.fromObject({ weekYear: 2027, weekNumber: 1, weekday: weekday as 1 })
      .setLocale(locale.value)
      .toFormat('cccc'),
    day: props.term.days.find((d) => d.weekday === weekday),
  })),
)
function toggleDay(weekday: number) {
  const there = props.term.days.filter((d) => d.weekday !== weekday)
  const days = there.length < props.term.days.length ? there : [...there, { weekday, at: '15:00' }]
  if (days.length) set({ days: days.sort((a, b) => a.weekday - b.weekday) })
}
function setTime(weekday: number, at: string) {
  if (/^\d\d:\d\d$/.test(at)) set({ days: props.term.days.map((d) => (d.weekday === weekday ? { ...d, at } : d)) })
}
const isDate = (text: string) => DateTime.fromISO(text).isValid && text.length === 10

const holiday = ref({ name: '', from: '', to: '' })
const holidayReady = computed(
  () =>
    cleanText(holiday.value.name, 'line').trim() !== '' &&
    isDate(holiday.value.from) &&
    (holiday.value.to === '' || (isDate(holiday.value.to) && holiday.value.to >= holiday.value.from)) &&
    props.term.off.length < termLimits.off,
)
function addHoliday() {
  const { name, from, to } = holiday.value
  const off = [...props.term.off, { name: cleanText(name, 'line').trim().slice(0, 60), from, to: to || from }]
  set({ off: off.sort((a, b) => (a.from < b.from ? -1 : 1)) })
  holiday.value = { name: '', from: '', to: '' }
}
const removeHoliday = (i: number) => set({ off: props.term.off.filter((_, n) => n !== i) })
const short = (date: string) => DateTime.fromISO(date).setLocale(locale.value).toFormat('d LLL yyyy')
/** Sessions on days that are no longer home days. */
const stranded = computed(() => strandedPlaces(props.term).filter((p) => p.session))
const dropStranded = () =>
  emit('change', (term) => {
    const gone = new Set(strandedPlaces(term))
    return { ...term, places: term.places.filter((p) => !gone.has(p)) }
  })
</script>

<template>
  <section :aria-label="t('term.details')">
    <v-text-field
      :model-value="term.title"
      :label="t('term.name')"
      maxlength="120"
      @update:model-value="cleanText($event, 'line').trim() && set({ title: cleanText($event, 'line') }, 'title')"
    />
    <div class="row">
      <v-text-field
        :model-value="term.starts"
        :label="t('term.starts')"
        type="date"
        @update:model-value="isDate($event) && set({ starts: $event })"
      />
      <NumberField
        :model-value="term.weeks"
        :label="t('term.howLong')"
        :min="1"
        :max="termLimits.weeks"
        @update:model-value="set({ weeks: $event })"
      />
    </div>
    <fieldset>
      <legend>{{ t('term.homeDays') }}</legend>
      <div v-for="{ weekday, name, day } in weekdays" :key="weekday" class="weekday">
        <label
          ><input
            type="checkbox"
            :checked="Boolean(day)"
            :disabled="Boolean(day) && term.days.length === 1"
            @change="toggleDay(weekday)"
          />
          {{ name }}</label
        >
        <input
          v-if="day"
          type="time"
          :value="day.at"
          :aria-label="t('term.at', { day: name })"
          @change="setTime(weekday, ($event.target as HTMLInputElement).value)"
        />
      </div>
    </fieldset>
    <fieldset>
      <legend>{{ t('term.holidays') }}</legend>
      <ul>
        <li v-for="({ name, from, to }, i) in term.off" :key="`${from} ${name}`">
          {{ name }} <span class="quiet">{{ from === to ? short(from) : `${short(from)} – ${short(to)}` }}</span>
          <button type="button" class="link" :aria-label="t('term.removeHoliday', { name })" @click="removeHoliday(i)">
            {{ t('term.remove') }}
          </button>
        </li>
      </ul>
      <form class="row" @submit.prevent="holidayReady && addHoliday()">
        <v-text-field v-model="holiday.name" class="wide" :label="t('term.holidayName')" maxlength="60" />
        <v-text-field v-model="holiday.from" :label="t('term.from')" type="date" />
        <v-text-field v-model="holiday.to" :label="t('term.to')" type="date" />
        <v-btn type="submit" :disabled="!holidayReady">{{ t('term.addHoliday') }}</v-btn>
      </form>
    </fieldset>
    <p v-if="stranded.length" class="care-note">
      {{
        t('term.stranded', {
          names: stranded.map((p) => `${titles.get(p.session!) ?? p.title ?? ''} (${short(p.date)})`).join(', '),
        })
      }}
      <button type="button" class="link" @click="dropStranded">{{ t('term.remove') }}</button>
    </p>
    <v-select
      v-if="classes.length"
      :model-value="term.class ?? ''"
      :items="[{ value: '', title: t('term.noClass') }, ...classes.map((c) => ({ value: c.id, title: c.name }))]"
      :label="t('term.class')"
      @update:model-value="
        (id: string) => emit('change', ({ class: _, ...rest }) => (id ? { ...rest, class: id } : rest))
      "
    />
    <v-select
      :model-value="term.storm"
      :items="sessions.map((s) => ({ value: s.id, title: s.title }))"
      multiple
      chips
      closable-chips
      :label="t('term.storm')"
      :hint="t('term.stormHow')"
      persistent-hint
      @update:model-value="(ids: string[]) => set({ storm: ids.slice(0, termLimits.storm) })"
    />
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 14px;
  align-content: start;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  justify-items: start;
}
.row > :deep(.v-input) {
  width: 100%;
}
.wide {
  grid-column: 1 / 3;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
legend {
  font-weight: 700;
  padding: 0;
}
.weekday {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 34px;
}
.weekday label {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
input[type='time'] {
  font: inherit;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 2px 6px;
}
</style>
