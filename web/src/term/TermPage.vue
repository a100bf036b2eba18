<script setup lang="ts">
import { mdiRedo, mdiUndo } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { DateTime } from 'luxon'
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { onBeforeRouteLeave, useRouter } from 'vue-router'
import { homeDays, type CoverageKind, type Term } from '@esfuerzo/core/term'
import OfferedDrafts from '../documents/OfferedDrafts.vue'
import SaveMark from '../documents/SaveMark.vue'
import { useRepertoire } from '../repertoire/store.ts'
import { useSettings } from '../settings/store.ts'
import { isTyping } from '../shared/isTyping.ts'
import CoverageTable from './CoverageTable.vue'
import DayPanel from './DayPanel.vue'
import PlanPanel from './PlanPanel.vue'
import TermCalendar from './TermCalendar.vue'
import TermConflict from './TermConflict.vue'
import TermFields from './TermFields.vue'
import TermMessage from './TermMessage.vue'
import TermOut from './TermOut.vue'
import TermWeeks from './TermWeeks.vue'
import { useDayEdits } from './useDayEdits.ts'
import { useNextStep } from './useNextStep.ts'
import { useTerm } from './useTerm.ts'
import { useTermCoverage } from './useTermCoverage.ts'
import { useTermSessions } from './useTermSessions.ts'

/** A term: its weeks by home days, what it covers, a plan for it, its calendar. */
const props = defineProps<{ id: string }>()
const { t, locale } = useI18n()
const router = useRouter()
const store = useTerm()
const repertoire = useRepertoire()
const settings = useSettings()
const term = computed(() => store.term)
const { summaries, titles, profiles, problem, gone, load, profile } = useTermSessions(term)

const tabs = ['day', 'coverage', 'plan', 'calendar', 'details'] as const
const tab = ref<(typeof tabs)[number]>('day')
const today = DateTime.now().toISODate()
const chosen = ref('')
const conflict = ref(false)
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
/** The day that comes next; the first where all are over. */
function firstDay(): string {
  const days = homeDays(term.value).filter((d) => !d.off)
  return (days.find((d) => d.date >= today) ?? days[0])?.date ?? term.value.starts
}
// A day that is none any more cannot be chosen.
watch(
  () => [term.value.starts, term.value.weeks, term.value.days],
  () => {
    if (!homeDays(term.value).some((d) => d.date === chosen.value)) chosen.value = firstDay()
  },
)
useEventListener('beforeunload', () => void store.flush())
onBeforeRouteLeave(() => store.leave())
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

/** Sessions that would fill a gap, shown to be put on a day. */
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
async function onKeepBoth() {
  conflict.value = false
  const copy = await store.keepBoth()
  await router.push({ name: 'term', params: { id: copy } })
}
const lead = computed(() => {
  const { starts, weeks } = term.value
  const day = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toFormat('d LLL yyyy')
  return t('term.lead', { from: day(starts), n: weeks })
})
</script>

<template>
  <main v-if="store.loadError" class="state">
    <h1>{{ t('term.cannotOpen') }}</h1>
    <p>{{ t(`errors.${store.loadError}`) }}</p>
    <v-btn class="main" @click="store.open(id)">{{ t('tryAgain') }}</v-btn>
  </main>
  <main v-else-if="store.loading" class="state">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
  <div v-else class="term">
    <main>
      <header>
        <h1>{{ term.title }}</h1>
        <SaveMark
          :state="store.saveState"
          :detail="store.saveDetail"
          @keep-both="onKeepBoth"
          @compare="conflict = true"
          @save="store.flush()"
        />
        <span class="grow" />
        <v-btn
          :icon="mdiUndo"
          :disabled="!store.canUndo"
          :aria-label="t('undo')"
          :title="`${t('undo')} (Ctrl Z)`"
          @click="store.undo()"
        />
        <v-btn
          :icon="mdiRedo"
          :disabled="!store.canRedo"
          :aria-label="t('redo')"
          :title="`${t('redo')} (Ctrl Shift Z)`"
          @click="store.redo()"
        />
        <v-btn class="main" @click="tab = 'plan'">{{ t('term.plan.title') }}</v-btn>
      </header>
      <p class="quiet lead">{{ lead }}</p>
      <p v-if="store.found" role="status">{{ t(`messages.${store.found}`) }}</p>
      <OfferedDrafts
        v-if="store.offered.length"
        :offered="store.offered"
        :copy="store.copyOffered"
        :drop="store.dropOffered"
      />
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
    </main>
    <aside :aria-label="t('term.panel')">
      <div class="tabs" role="tablist" :aria-label="t('term.panel')">
        <button
          v-for="name in tabs"
          :id="`tab-${name}`"
          :key="name"
          type="button"
          role="tab"
          :aria-selected="tab === name"
          :aria-controls="`panel-${name}`"
          @click="tab = name"
        >
          {{ t(`term.tab.${name}`) }}
        </button>
      </div>
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
      </div>
    </aside>
    <TermConflict v-if="conflict" v-model="conflict" @keep-both="onKeepBoth" />
  </div>
</template>

<style scoped>
.state {
  padding: 48px;
}
.term {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
  min-height: 100vh;
}
main {
  padding: 20px 20px 40px;
  min-width: 0;
}
header {
  display: flex;
  align-items: center;
  gap: 10px;
}
h1 {
  min-width: 0;
  font-size: 28px;
}
h1,
.lead {
  margin: 0;
}
.lead {
  padding-bottom: 10px;
}
.grow {
  flex: 1;
}
.hint {
  margin: 8px 4px;
}
aside {
  position: sticky;
  top: 0;
  height: 100vh;
  overflow-y: auto;
  padding: 14px 16px 32px;
  border-left: 1px solid var(--line);
  background: var(--card);
  min-width: 0;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  border-bottom: 1px solid var(--line);
  margin-bottom: 12px;
}
.tabs button {
  border: 0;
  background: none;
  color: var(--quiet);
  font: inherit;
  padding: 4px 0 8px;
  border-bottom: 3px solid transparent;
  cursor: pointer;
}
.tabs [aria-selected='true'] {
  color: var(--ink);
  font-weight: 700;
  border-color: var(--action);
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
.only input {
  width: 18px;
  height: 18px;
  accent-color: var(--action);
}
/* On paper the weeks alone, on one page. */
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
@media (max-width: 1000px) {
  .term {
    grid-template-columns: minmax(0, 1fr);
  }
  aside {
    position: static;
    height: auto;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
