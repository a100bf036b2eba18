<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { DateTime } from 'luxon'
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { changedDays, homeDays, type CoverageKind, type Term } from '@esfuerzo/core/term'
import DocumentPage from '../documents/DocumentPage.vue'
import { useRepertoire } from '../repertoire/store.ts'
import { useSettings } from '../settings/store.ts'
import { isTyping } from '../shared/isTyping.ts'
import TabRow from '../shared/TabRow.vue'
import CoverageTable from './CoverageTable.vue'
import DayPanel from './DayPanel.vue'
import PlanPanel from './PlanPanel.vue'
import TermCalendar from './TermCalendar.vue'
import TermFields from './TermFields.vue'
import TermMessage from './TermMessage.vue'
import TermOut from './TermOut.vue'
import TermWeeks from './TermWeeks.vue'
import { useDayEdits } from './useDayEdits.ts'
import { useNextStep } from './useNextStep.ts'
import { useTerm } from './useTerm.ts'
import { useTermCoverage } from './useTermCoverage.ts'
import { useTermSessions } from './useTermSessions.ts'

/** A term: weeks by home days, coverage, a plan, its calendar. */
const props = defineProps<{ id: string }>()
const { t, locale } = useI18n()
const store = useTerm()
const repertoire = useRepertoire()
const settings = useSettings()
const term = computed(() => store.document)
const { summaries, titles, profiles, problem, gone, load, profile } = useTermSessions(term)

const tabs = ['day', 'coverage', 'plan', 'calendar', 'details'] as const
const tab = ref<(typeof tabs)[number]>('day')
const today = DateTime.now().toISODate()
const chosen = ref('')
const dayView = useTemplateRef('dayView')

const { done, children, onlyDone, held, facts, findings } = useTermCoverage(() => props.id, term, profiles, gone)

watch(
  () => props.id,
  async (id) => {
    await store.open(id)
    chosen.value = firstDay()
  },
  { immediate: true },
)
onMounted(() => {
  void load()
  void settings.load()
  if (!repertoire.loaded) void repertoire.load()
})
/** The next day; the first if all are past. */
function firstDay(): string {
  const days = homeDays(term.value).filter((d) => !d.off)
  return (days.find((d) => d.date >= today) ?? days[0])?.date ?? term.value.starts
}
// A day that no longer exists can't be chosen.
watch(
  () => [term.value.starts, term.value.weeks, term.value.days],
  () => {
    if (!homeDays(term.value).some((d) => d.date === chosen.value)) chosen.value = firstDay()
  },
)
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (!(event.ctrlKey || event.metaKey) || isTyping(event.target)) return
  const key = event.key.toLowerCase()
  if (key !== 'z' && key !== 'y') return
  event.preventDefault()
  if (key === 'y' || event.shiftKey) store.redo()
  else store.undo()
})

const { put, move, pin, free, clear } = useDayEdits((session) => titles.value.get(session))
const onChange = (change: (term: Term) => Term, merge?: string) => store.edit(change, merge)

/** Sessions that would fill a gap, offered to be put on a day. */
const gap = shallowRef<{ kind: CoverageKind; id: string }>()
const offered = computed(() => {
  const all = summaries.value ?? []
  const wanted = gap.value
  if (!wanted) return all
  return all.filter((s) => (profiles.get(s.id)?.[wanted.kind] as readonly string[] | undefined)?.includes(wanted.id))
})
async function onGap(kind: CoverageKind, id: string) {
  gap.value = { kind, id }
  tab.value = 'day'
  for (const s of summaries.value ?? []) await profile(s.id)
}
function onEnter() {
  tab.value = 'day'
  dayView.value?.focus()
}

const { making, failed, make: makeStep } = useNextStep(load)
/** Which days differ, in one line. */
function linesOf(from: Term, to: Term): string[] {
  const days = changedDays(from, to).map((date) => DateTime.fromISO(date).setLocale(locale.value).toFormat('ccc d LLL'))
  return days.length ? [days.join(', ')] : []
}
const lead = computed(() => {
  const { starts, weeks } = term.value
  const day = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toFormat('d LLL yyyy')
  return t('term.lead', { from: day(starts), n: weeks })
})
</script>

<template>
  <DocumentPage
    :id="id"
    class="term"
    :store="store"
    :cannot-open="t('term.cannotOpen')"
    :differences="linesOf"
    :no-difference="t('term.otherChanges')"
  >
    <template #actions>
      <v-btn class="main" @click="tab = 'plan'">{{ t('term.plan.title') }}</v-btn>
    </template>
    <p class="quiet lead">{{ lead }}</p>
    <p v-if="store.found" role="status">{{ t(`messages.${store.found}`) }}</p>
    <p v-if="problem || failed" class="care" role="alert">
      {{ t(`errors.${problem || failed}`) }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn>
    </p>
    <p v-if="gone.size" class="care-note">{{ t('term.goneSome', { n: gone.size }) }}</p>
    <TermWeeks
      v-model="chosen"
      :term="term"
      :titles="titles"
      :gone="gone"
      :facts="facts"
      :done="done"
      :children="children"
      :today="today"
      @put="put"
      @move="move"
      @clear="clear"
      @pin="pin"
      @free="free"
      @enter="onEnter"
    />
    <p class="quiet hint">{{ t('term.hint') }}</p>
    <template #panel
      ><aside :aria-label="t('term.panel')">
        <TabRow
          :names="tabs"
          :chosen="tab"
          :label="t('term.panel')"
          :text="(name) => t(`term.tab.${name}`)"
          @choose="tab = $event"
        />
        <div :id="`panel-${tab}`" class="panel" role="tabpanel" :aria-labelledby="`tab-${tab}`">
          <template v-if="tab === 'day'">
            <p v-if="gap" class="gap">
              {{ t('term.fills') }}
              <button type="button" class="link" @click="gap = undefined">{{ t('term.showAll') }}</button>
            </p>
            <DayPanel
              ref="dayView"
              :term="term"
              :date="chosen"
              :sessions="offered"
              :titles="titles"
              @put="put($event, chosen)"
              @clear="clear(chosen)"
              @pin="pin(chosen)"
              @free="free(chosen)"
              @step="makeStep(chosen)"
            />
            <p v-if="making" class="quiet">{{ t('tools.working') }}</p>
          </template>
          <template v-else-if="tab === 'coverage'">
            <label class="only"><input v-model="onlyDone" type="checkbox" /> {{ t('term.onlyDone') }}</label>
            <CoverageTable :coverage="held" :weeks="term.weeks" :findings="findings" @gap="onGap" />
          </template>
          <PlanPanel
            v-else-if="tab === 'plan'"
            :term="term"
            :sessions="summaries ?? []"
            :titles="titles"
            :profiles="profiles"
            :today="today"
            @change="onChange"
            @take="store.push($event)"
          />
          <template v-else-if="tab === 'calendar'">
            <TermCalendar :id="id" />
            <TermMessage :id="id" :term="term" :titles="titles" :date="chosen" />
            <TermOut :term="term" :titles="titles" />
          </template>
          <TermFields v-else :term="term" :sessions="summaries ?? []" :titles="titles" @change="onChange" />
        </div></aside
    ></template>
  </DocumentPage>
</template>

<style scoped>
.term {
  --panel: 430px;
}
.lead {
  margin: 0;
  padding-bottom: 10px;
}
.hint {
  margin: 8px 4px;
}
aside {
  overflow-y: auto;
  padding-bottom: 32px;
}
.gap {
  margin: 0 0 10px;
}
.only {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  margin-bottom: 10px;
}
/* Printed: only the weeks, on one page. */
@media print {
  aside,
  .hint,
  :deep(.mark) {
    display: none;
  }
  .term {
    display: block;
  }
}
</style>
