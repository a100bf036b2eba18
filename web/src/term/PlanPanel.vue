<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, onScopeDispose, ref, shallowRef, toRaw } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  changedDays,
  planProblem,
  plannedTerm,
  type Planned,
  type PlanProblem,
  type Term,
  type TermSession,
} from '@esfuerzo/core/term'
import type { SessionSummary } from '@esfuerzo/contract'
import { plan } from '../workers/solver.ts'

/** A plan for the term: from which sessions and families; what it meets and what it can't, and its changes day by day. */
const props = defineProps<{
  term: Term
  sessions: readonly SessionSummary[]
  titles: ReadonlyMap<string, string>
  profiles: ReadonlyMap<string, TermSession>
  /** Earlier days are over and stay. */
  today: string
}>()
const emit = defineEmits<{ change: [change: (term: Term) => Term]; take: [planned: Term] }>()
const { t, locale } = useI18n()

const found = shallowRef<{ problem: PlanProblem; planned: Planned; after: Term; before: Term }>()
const running = ref(false)
const problem = ref('')
let abort: AbortController | undefined
function cancel() {
  abort?.abort()
  running.value = false
}
onScopeDispose(cancel)

/** Nothing is chosen yet: the list is open. */
const chooses = props.term.sessions.length === 0
const chosen = computed(() => new Set(props.term.sessions))
function toggle(id: string) {
  emit('change', (term) => ({
    ...term,
    sessions: term.sessions.includes(id) ? term.sessions.filter((s) => s !== id) : [...term.sessions, id],
  }))
}
const withTests = computed(() => props.sessions.filter((s) => props.profiles.get(s.id)?.tests.length))
/** Families that her chosen sessions practice; ticked ones are to come twice. */
const families = computed(() => {
  const held = new Set(props.term.sessions.flatMap((id) => props.profiles.get(id)?.families ?? []))
  return [...new Set([...held, ...props.term.families])]
})
function toggleFamily(family: (typeof props.term.families)[number]) {
  emit('change', (term) => ({
    ...term,
    families: term.families.includes(family) ? term.families.filter((f) => f !== family) : [...term.families, family],
  }))
}
/** Every chosen session has been analyzed. */
const ready = computed(
  () =>
    props.term.sessions.length > 0 &&
    props.term.sessions.every((id) => props.profiles.has(id) || !props.titles.has(id)),
)
const hasPlan = computed(() => props.term.places.some((p) => p.session && !p.pinned))

async function run(mend: boolean) {
  cancel()
  const here = (abort = new AbortController())
  running.value = true
  problem.value = ''
  found.value = undefined
  const before = props.term
  const asked = planProblem(before, [...props.profiles.values()].map(toRaw), { mend, from: props.today })
  try {
    const planned = await plan(asked, here.signal)
    if (abort !== here) return
    if (planned)
      found.value = { problem: asked, planned, before, after: plannedTerm(before, asked, planned.plan, props.titles) }
    else problem.value = 'noPlan'
  } catch {
    if (abort === here) problem.value = 'failed'
  }
  if (abort === here) running.value = false
}
const day = (date: string) => DateTime.fromISO(date).setLocale(locale.value).toFormat('ccc d LLL')
/** Which conditions are met, and the names of those that are not. */
const said = computed(() => {
  if (!found.value) return []
  const { problem: asked, planned } = found.value
  const { score, proven } = planned
  const openDays = asked.days.length - asked.free.size
  const missing = asked.families.filter((f) => !score.families.includes(f))
  const dayAt = (i: number) => day(asked.days[i]!.date)
  return [
    { met: score.filled >= openDays, text: t('term.plan.filled', { n: score.filled, of: openDays }) },
    ...(asked.families.length
      ? [
          missing.length
            ? {
                met: false,
                text: t('term.plan.familiesNot', { names: missing.map((f) => t(`family.${f}`)).join(', ') }),
              }
            : { met: true, text: t('term.plan.families') },
        ]
      : []),
    ...asked.missed.map((miss) => ({ met: false, text: t(`term.plan.tests.${miss}`) })),
    score.formTwice.length
      ? { met: false, text: t('term.plan.formTwice', { days: score.formTwice.map(dayAt).join(', ') }) }
      : { met: true, text: t('term.plan.formsDiffer') },
    ...(score.strengthNext.length
      ? [{ met: false, text: t('term.plan.strengthNext', { days: score.strengthNext.map(dayAt).join(', ') }) }]
      : []),
    ...(score.unevenWeeks.length
      ? [{ met: false, text: t('term.plan.uneven', { weeks: score.unevenWeeks.map((w) => w + 1).join(', ') }) }]
      : []),
    { met: proven, text: t(proven ? 'term.plan.best' : 'term.plan.notProven') },
  ]
})
const changes = computed(() => {
  if (!found.value) return []
  const { before, after } = found.value
  const at = (term: Term, date: string) => {
    const place = term.places.find((p) => p.date === date)
    return place?.session ? (props.titles.get(place.session) ?? place.title ?? '') : t('term.nothing')
  }
  return changedDays(before, after).map((date) => ({
    date,
    day: day(date),
    from: at(before, date),
    to: at(after, date),
  }))
})
/** The term has changed since: the result is for another one. */
const stale = computed(() => found.value !== undefined && found.value.before !== props.term)
function take() {
  if (found.value) emit('take', found.value.after)
  found.value = undefined
}
</script>

<template>
  <section :aria-label="t('term.plan.title')">
    <p class="quiet">{{ t('term.plan.lead') }}</p>
    <details :open="chooses">
      <summary>{{ t('term.plan.sessions', { n: term.sessions.length }) }}</summary>
      <ul>
        <li v-for="s in sessions" :key="s.id">
          <label
            ><input type="checkbox" :checked="chosen.has(s.id)" @change="toggle(s.id)" /> {{ s.title }}
            <span class="quiet num">{{ t('desk.minutes', { n: s.minutes }) }}</span></label
          >
        </li>
      </ul>
    </details>
    <details v-if="families.length">
      <summary>{{ t('term.plan.familiesChosen', { n: term.families.length }) }}</summary>
      <p class="quiet">{{ t('term.plan.familiesHow') }}</p>
      <label v-for="family in families" :key="family" class="chip"
        ><input type="checkbox" :checked="term.families.includes(family)" @change="toggleFamily(family)" />
        {{ t(`family.${family}`) }}</label
      >
    </details>
    <v-select
      v-if="withTests.length"
      :model-value="term.tests ?? ''"
      :items="[
        { value: '', title: t('term.plan.noTests') },
        ...withTests.map((s) => ({ value: s.id, title: s.title })),
      ]"
      :label="t('term.plan.testSession')"
      @update:model-value="
        (id: string) => emit('change', ({ tests: _, ...rest }) => (id ? { ...rest, tests: id } : rest))
      "
    />
    <div class="do">
      <v-btn class="main" :disabled="running || !ready" @click="run(false)">{{ t('term.plan.go') }}</v-btn>
      <v-btn v-if="hasPlan" :disabled="running || !ready" @click="run(true)">{{ t('term.plan.mend') }}</v-btn>
      <v-btn v-if="running" @click="cancel">{{ t('cancel') }}</v-btn>
    </div>
    <p v-if="!term.sessions.length" class="quiet">{{ t('term.plan.chooseFirst') }}</p>
    <progress v-if="running" :aria-label="t('tools.working')" />
    <p v-if="problem" class="care" role="alert">{{ t(`term.plan.${problem}`) }}</p>
    <div v-if="found" aria-live="polite" class="found">
      <ul class="said">
        <li v-for="{ met, text } in said" :key="text" :class="{ unmet: !met }">
          <span aria-hidden="true">{{ met ? '✓' : '–' }}</span> {{ text }}
        </li>
      </ul>
      <p v-if="!changes.length">{{ t('term.plan.nothing') }}</p>
      <template v-else>
        <p v-if="stale" class="care">{{ t('term.plan.stale') }}</p>
        <v-btn class="main" :disabled="stale" @click="take">{{ t('term.plan.take') }}</v-btn>
        <p>{{ t('term.plan.changes', { n: changes.length }) }}</p>
        <ul class="changes">
          <li v-for="c in changes" :key="c.date">
            <b class="num">{{ c.day }}</b> <span class="quiet">{{ c.from }} →</span> {{ c.to }}
          </li>
        </ul>
      </template>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 12px;
  align-content: start;
}
summary {
  cursor: pointer;
  font-weight: 700;
  padding: 4px 0;
}
details ul {
  max-height: 260px;
  overflow-y: auto;
}
li label,
.chip {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  min-height: 30px;
  cursor: pointer;
}
.chip {
  margin-right: 14px;
}
.found {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.found ul {
  width: 100%;
}
.said li {
  display: grid;
  grid-template-columns: 16px 1fr;
}
.unmet {
  color: var(--care);
}
.changes li {
  padding: 3px 0;
  border-top: 1px solid var(--hair);
}
progress {
  width: 100%;
  height: 6px;
  accent-color: var(--action);
}
</style>
