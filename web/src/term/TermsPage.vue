<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { cleanText } from '@esfuerzo/core'
import { callCode, type CallAnswer, type TermSummary } from '@esfuerzo/contract'
import { copiedTerm, newTerm, type Term } from '@esfuerzo/core/term'
import { client } from '../shared/client.ts'
import { vFocusFirst } from '../shared/focusFirst.ts'
import { useSettings } from '../settings/store.ts'

/** A teacher's terms: created, copied from last year, restored from the trash. */
const { t, locale } = useI18n()
const router = useRouter()
const settings = useSettings()
const listed = shallowRef<CallAnswer<'listTerms'>>()
const problem = ref('')
const adding = ref(false)
const title = ref('')
const starts = ref('')
/** The term to copy; a new one if empty. */
const from = ref('')

async function tried(work: () => Promise<unknown>) {
  problem.value = ''
  try {
    await work()
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
const load = () => tried(async () => (listed.value = await client('listTerms', {})))
onMounted(async () => {
  await Promise.all([settings.load(), load()])
  starts.value = weekStart(DateTime.now()).plus({ weeks: 1 }).toISODate()
})
/** The first day of a date's week, as the school counts weeks. */
function weekStart(day: DateTime<true>): DateTime<true> {
  const first = settings.settings?.weekStart ?? 1
  return day.minus({ days: (day.weekday - first + 7) % 7 })
}
const day = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toFormat('d LLL yyyy')
const name = computed(() => cleanText(title.value, 'line').trim().slice(0, 120))
const ready = computed(() => name.value !== '' && DateTime.fromISO(starts.value).isValid)

const onAdd = () =>
  tried(async () => {
    const first = weekStart(DateTime.fromISO(starts.value) as DateTime<true>).toISODate()
    const base: Term | undefined = from.value
      ? (await client('readTerm', { params: { id: from.value } })).document
      : undefined
    const document = base ? copiedTerm(base, name.value, first) : newTerm(name.value, first)
    const { id } = await client('createTerm', { body: { document } })
    await router.push({ name: 'term', params: { id } })
  })
const removed = shallowRef<TermSummary>()
const onRemove = (term: TermSummary) =>
  tried(async () => {
    await client('removeTerm', { params: { id: term.id } })
    removed.value = term
    await load()
  })
const onRestore = (id: string) =>
  tried(async () => {
    await client('restoreTerm', { params: { id } })
    removed.value = undefined
    await load()
  })
</script>

<template>
  <main class="terms">
    <header>
      <div>
        <h1>{{ t('terms.title') }}</h1>
        <p class="quiet">{{ t('terms.lead') }}</p>
      </div>
      <v-btn class="main" @click="adding = !adding">{{ t('terms.new') }}</v-btn>
    </header>
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <p v-else-if="!listed" class="quiet">{{ t('loading') }}</p>
    <form v-if="adding" class="card new" @submit.prevent="ready && onAdd()">
      <h2>{{ t('terms.new') }}</h2>
      <v-text-field v-model="title" v-focus-first :label="t('term.name')" maxlength="120" />
      <v-text-field
        v-model="starts"
        :label="t('term.starts')"
        type="date"
        :hint="t('terms.startsHow')"
        persistent-hint
      />
      <v-select
        v-if="listed?.terms.length"
        v-model="from"
        :items="[{ value: '', title: t('terms.empty') }, ...listed.terms.map((x) => ({ value: x.id, title: x.title }))]"
        :label="t('terms.from')"
        :hint="t('terms.fromHow')"
        persistent-hint
      />
      <v-btn class="main" type="submit" :disabled="!ready">{{ t('terms.add') }}</v-btn>
    </form>
    <section v-if="listed && !listed.terms.length && !adding" class="card none">
      <h2>{{ t('terms.noneTitle') }}</h2>
      <p>{{ t('terms.noneText') }}</p>
      <v-btn class="main" @click="adding = true">{{ t('terms.new') }}</v-btn>
    </section>
    <ul v-if="listed?.terms.length" class="card">
      <li v-for="term in listed.terms" :key="term.id">
        <router-link :to="{ name: 'term', params: { id: term.id } }">{{ term.title }}</router-link>
        <span class="quiet">{{ t('term.lead', { from: day(term.starts), n: term.weeks }) }}</span>
        <span class="grow" />
        <v-btn class="plain" :aria-label="t('desk.remove', { title: term.title })" @click="onRemove(term)">{{
          t('term.remove')
        }}</v-btn>
      </li>
    </ul>
    <p v-if="removed" role="status">
      {{ t('desk.removed', { title: removed.title }) }}
      <button type="button" class="link" @click="onRestore(removed.id)">{{ t('undo') }}</button>
    </p>
    <section v-if="listed?.removed.length">
      <h2>{{ t('bin.title') }}</h2>
      <ul class="card">
        <li v-for="term in listed.removed" :key="term.id">
          {{ term.title }} <span class="grow" />
          <v-btn class="plain" :aria-label="t('terms.restoreOf', { title: term.title })" @click="onRestore(term.id)">{{
            t('terms.restore')
          }}</v-btn>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.terms {
  padding: 24px 28px 40px;
  display: grid;
  gap: 16px;
  align-content: start;
  max-width: 900px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 16px;
}
.new,
.none {
  padding: 16px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.new > :deep(.v-input) {
  width: min(420px, 100%);
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 8px 14px;
}
li a {
  padding: 3px 0;
}
li + li {
  border-top: 1px solid var(--hair);
}
</style>
