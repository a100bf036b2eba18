<script setup lang="ts">
import { mdiPin } from '@mdi/js'
import { DateTime } from 'luxon'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  comingsBefore,
  daysOn,
  homeDays,
  isEasierWeek,
  type Place,
  type Term,
  type WeekFacts,
} from '@esfuerzo/core/term'

/** Weeks down, home days across. Days are chosen by keys or a press; sessions come by drag, from the panel, or by cut and paste. */
const props = defineProps<{
  term: Term
  titles: ReadonlyMap<string, string>
  gone: ReadonlySet<string>
  facts: readonly WeekFacts[]
  /** Homes by the place's id, and of how many children. */
  done: ReadonlyMap<string, number>
  children: number | null
  today: string
}>()
const chosen = defineModel<string>({ required: true })
const emit = defineEmits<{
  put: [session: string, date: string]
  move: [from: string, to: string]
  clear: [date: string]
  pin: [date: string]
  free: [date: string]
  enter: []
}>()
const { t, locale } = useI18n()
const grid = useTemplateRef('grid')

const columns = computed(() => [...props.term.days].sort((a, b) => order(a.weekday) - order(b.weekday)))
/** From the weekday the term starts on. */
function order(weekday: number): number {
  const first = DateTime.fromISO(props.term.starts).weekday
  return (weekday - first + 7) % 7
}
const weekdayName = (weekday: number) =>
  DateTime.fromObject({ weekYear: 2027, weekNumber: 1, weekday: weekday as 1 })
    .setLocale(locale.value)
    .toFormat('cccc')
/** On a phone the days are a list of weeks, where no column says which day it is. */
const isPhone = useMediaQuery('(max-width: 640px)')
const dayOf = (date: string) => DateTime.fromISO(date).setLocale(locale.value).toFormat('ccc d')
const short = (date: string) => DateTime.fromISO(date).setLocale(locale.value).toFormat('d LLL')
const long = (date: string) => DateTime.fromISO(date).setLocale(locale.value).toFormat('cccc d LLLL')

const weeks = computed(() => {
  const days = homeDays(props.term)
  const placed = new Map(props.term.places.map((p) => [p.date, p]))
  return Array.from({ length: props.term.weeks }, (_, week) => {
    const from = daysOn(props.term.starts, 7 * week)
    const cells = columns.value.map(({ weekday }) => {
      const day = days.find((d) => d.week === week && d.weekday === weekday)!
      return { ...day, place: placed.get(day.date) }
    })
    const now = from <= props.today && props.today < daysOn(from, 7)
    return {
      week,
      from,
      cells,
      facts: props.facts[week],
      easier: isEasierWeek(week),
      now,
      off: cells.every((c) => c.off),
    }
  })
})
const dates = computed(() => weeks.value.map((w) => w.cells.map((c) => c.date)))

const titleOf = (place: Place): string =>
  props.titles.get(place.made ?? place.session ?? '') ?? place.title ?? t('term.deleted')
const isGone = (place: Place): boolean => place.session !== undefined && props.gone.has(place.made ?? place.session)
function stepText(place: Place): string {
  if (place.session === props.term.tests) return ''
  const coming = comingsBefore(props.term, place)
  return coming ? t(`term.coming.${Math.min(coming, 2)}`) : ''
}
function doneText(place: Place): string {
  const homes = props.done.get(place.id)
  if (!homes) return ''
  return props.children === null ? t('term.homes', { n: homes }) : t('term.homesOf', { n: homes, of: props.children })
}
function label(date: string, off: string | undefined, place: Place | undefined): string {
  const what = off
    ? t('term.offBecause', { name: off })
    : !place
      ? t('term.nothing')
      : !place.session
        ? t('term.free')
        : [titleOf(place), stepText(place), doneText(place), isGone(place) ? t('term.gone') : '']
            .filter(Boolean)
            .join(', ')
  return `${long(date)}: ${what}${place?.pinned && place.session ? `, ${t('term.pinned')}` : ''}`
}

async function go(date: string | undefined) {
  if (date === undefined) return
  chosen.value = date
  await nextTick()
  grid.value?.querySelector<HTMLElement>(`[data-date="${date}"]`)?.focus()
}
/** What was cut, to be pasted elsewhere. */
let cut: string | undefined
function paste(date: string) {
  if (cut && cut !== date) emit('move', cut, date)
  cut = undefined
}
/** What a key does on a day; Ctrl keys come first. */
const keys: Record<string, (date: string) => unknown> = {
  ArrowDown: (date) => go(near(date, 1, 0)),
  ArrowUp: (date) => go(near(date, -1, 0)),
  ArrowRight: (date) => go(near(date, 0, 1)),
  ArrowLeft: (date) => go(near(date, 0, -1)),
  Delete: (date) => emit('clear', date),
  Backspace: (date) => emit('clear', date),
  Enter: () => emit('enter'),
  p: (date) => emit('pin', date),
  f: (date) => emit('free', date),
  'Ctrl x': (date) => (cut = date),
  'Ctrl v': paste,
}
function near(date: string, down: number, across: number): string | undefined {
  const week = dates.value.findIndex((row) => row.includes(date))
  return dates.value[week + down]?.[dates.value[week]!.indexOf(date) + across]
}
function onKeydown(event: KeyboardEvent, date: string) {
  const work = keys[event.ctrlKey || event.metaKey ? `Ctrl ${event.key}` : event.key]
  if (!work) return
  work(date)
  event.preventDefault()
}

const kinds = { session: 'text/x-esfuerzo-session', day: 'text/x-esfuerzo-day' }
function onDragStart(event: DragEvent, date: string) {
  event.dataTransfer?.setData(kinds.day, date)
}
function onDragOver(event: DragEvent, off: string | undefined) {
  if (!off && Object.values(kinds).some((kind) => event.dataTransfer?.types.includes(kind))) event.preventDefault()
}
function onDrop(event: DragEvent, date: string) {
  const session = event.dataTransfer?.getData(kinds.session)
  const from = event.dataTransfer?.getData(kinds.day)
  chosen.value = date
  if (session) emit('put', session, date)
  else if (from && from !== date) emit('move', from, date)
}
</script>

<template>
  <!-- eslint-disable vuejs-accessibility/no-redundant-roles -- laid out as a list of weeks on a phone, the table loses its own roles -->
  <table ref="grid" role="grid" :aria-label="t('term.weeks')">
    <thead>
      <tr role="row">
        <th role="columnheader" scope="col">{{ t('term.week') }}</th>
        <th v-for="day in columns" :key="day.weekday" role="columnheader" scope="col">
          {{ weekdayName(day.weekday) }} <span class="quiet num">{{ day.at }}</span>
        </th>
        <th role="columnheader" scope="col">{{ t('term.inAll') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ week, from, cells, facts: own, easier, now, off } in weeks" :key="week" :class="{ now, off }">
        <th role="rowheader" scope="row">
          <span class="num">{{ week + 1 }}</span> <span class="quiet">{{ short(from) }}</span>
          <small v-if="easier && !off" class="quiet">{{ t('term.easier') }}</small>
        </th>
        <td v-for="{ date, off: holiday, place } in cells" :key="date" role="gridcell">
          <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -- a button cannot be used here -->
          <button
            type="button"
            :data-date="date"
            :tabindex="date === chosen ? 0 : -1"
            :class="{ chosen: date === chosen, holiday, filled: place?.session, kept: place && !place.session }"
            :aria-label="label(date, holiday, place)"
            :aria-current="date === chosen ? 'date' : undefined"
            :draggable="place !== undefined"
            @click="chosen = date"
            @keydown="onKeydown($event, date)"
            @dragstart="onDragStart($event, date)"
            @dragover="onDragOver($event, holiday)"
            @drop.prevent="onDrop($event, date)"
          >
            <small v-if="isPhone" class="weekday quiet" aria-hidden="true">{{ dayOf(date) }}</small>
            <template v-if="holiday">{{ holiday }}</template>
            <template v-else-if="place?.session">
              <b :class="{ care: isGone(place) }">{{ titleOf(place) }}</b>
              <v-icon v-if="place.pinned" :icon="mdiPin" size="14" />
              <small class="quiet">{{
                [stepText(place), doneText(place), isGone(place) ? t('term.gone') : ''].filter(Boolean).join(' · ')
              }}</small>
            </template>
            <template v-else-if="place">{{ t('term.free') }}</template>
            <span v-else aria-hidden="true" class="empty">+</span>
          </button>
        </td>
        <td role="gridcell" class="facts quiet num">
          <template v-if="own?.days">
            {{ t('term.days', { n: own.days }) }} · {{ t('term.minutes', { n: Math.round(own.minutes) }) }}<br />
            {{ t('term.effort', { moderate: Math.round(own.moderate), vigorous: Math.round(own.vigorous) }) }}
          </template>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: separate;
  border-spacing: 4px;
  table-layout: fixed;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 2px 4px;
}
th:first-child {
  width: 92px;
}
th:last-child {
  width: 196px;
}
thead th {
  font-weight: 700;
}
tbody th .num {
  font-weight: 700;
}
tbody th small {
  display: block;
}
tr.now th {
  border-left: 4px solid var(--action);
}
td {
  padding: 0;
}
td button {
  width: 100%;
  min-height: 46px;
  padding: 4px 8px;
  text-align: left;
  font: inherit;
  color: var(--ink);
  background: transparent;
  border: 1px dashed var(--line);
  border-radius: var(--corner);
  cursor: pointer;
  line-height: 1.2;
  overflow-wrap: anywhere;
}
tbody th .quiet {
  white-space: nowrap;
}
td button.filled {
  background: var(--card);
  border-style: solid;
}
td button.kept {
  background: var(--band);
  color: var(--quiet);
}
td button.holiday {
  border-color: transparent;
  background: repeating-linear-gradient(45deg, var(--band) 0 6px, transparent 6px 12px);
  color: var(--quiet);
}
td button.chosen {
  outline: 2px solid var(--action);
  outline-offset: 0;
}
td b {
  font-weight: 700;
}
td small {
  display: block;
  min-height: 0;
}
.empty {
  color: var(--quiet);
}
.facts {
  font-size: 14px;
  line-height: 1.25;
}
@media (max-width: 640px) {
  /* A list of weeks: each has its days below its name, and what they come to below those. */
  thead {
    display: none;
  }
  table,
  tbody {
    display: block;
  }
  tr {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    padding: 10px 0;
    border-top: 1px solid var(--line);
  }
  tbody th,
  .facts {
    flex: 1 0 100%;
    width: auto;
  }
  tbody th small {
    display: inline;
    margin-left: 8px;
  }
  td:not(.facts) {
    flex: 1 1 0;
    min-width: 0;
  }
  td button {
    height: 100%;
    min-height: 56px;
  }
}
</style>
