<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { onBeforeRouteLeave } from 'vue-router'
import { cleanText, holdPolicies, sameValue, warmUpStyles, type Settings } from '@esfuerzo/core'
import { problemSentence } from '../words/i18n.ts'
import { CallError } from '@esfuerzo/contract'
import { floors, useFloor } from '../shared/look/useFloor.ts'
import { useSettings } from './store.ts'

/** The school: what it calls its grades, its days and weeks, what it holds right where good teachers differ. */
const { t, locale } = useI18n()
const store = useSettings()
const draft = ref<Settings>()
const problem = ref('')
const saved = ref(false)
const busy = ref(false)
const { floor } = useFloor()

onMounted(() => void store.load())
watch(
  () => store.settings,
  (now) => (draft.value = now && structuredClone(now)),
  { immediate: true },
)
const changed = computed(() => !!draft.value && !sameValue(draft.value, store.settings))
watch(changed, (on) => on && (saved.value = false))

const zones = Intl.supportedValuesOf('timeZone')
const days = computed(() =>
  [1, 2, 3, 4, 5, 6, 7].map((value) => ({
    value,
    // 3 January 2000 was a Monday.
    title: new Intl.DateTimeFormat(locale.value, { weekday: 'long', timeZone: 'UTC' }).format(
      Date.UTC(2000, 0, 2 + value),
    ),
  })),
)
const choices = (kind: 'hold' | 'warmUp' | 'floor', values: readonly string[]) =>
  values.map((value) => ({ value, title: t(`settings.${kind}.${value}`) }))
const dayStart = computed({
  get: () => {
    const minutes = draft.value?.dayStart ?? 0
    return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
  },
  set: (time) => {
    const [hours, minutes] = time.split(':').map(Number)
    if (draft.value && Number.isInteger(hours) && Number.isInteger(minutes))
      draft.value.dayStart = hours! * 60 + minutes!
  },
})

async function save(): Promise<boolean> {
  if (!draft.value || !changed.value) return true
  busy.value = true
  problem.value = ''
  try {
    const { gradeNames, school, familyNote } = draft.value
    await store.save({
      ...draft.value,
      school: cleanText(school, 'line'),
      familyNote: cleanText(familyNote, 'paragraph'),
      gradeNames: gradeNames.map((name) => cleanText(name, 'line').trim()),
    })
    saved.value = true
    return true
  } catch (error) {
    if (!(error instanceof CallError)) throw error
    problem.value = error.problems.length
      ? error.problems.map((p) => `${t(`settings.field.${p.path[0]}`)}: ${problemSentence(p)}`).join('\n')
      : t(`errors.${error.code}`)
    return false
  } finally {
    busy.value = false
  }
}
// What was changed is taken along; what cannot be taken keeps the page.
onBeforeRouteLeave(() => save())
</script>

<template>
  <main class="settings">
    <h1>{{ t('settings.title') }}</h1>
    <p v-if="store.error && !draft" class="care" role="alert">
      {{ t(`errors.${store.error}`) }} <v-btn @click="store.load()">{{ t('tryAgain') }}</v-btn>
    </p>
    <p v-else-if="!draft" class="quiet">{{ t('loading') }}</p>
    <form v-else @submit.prevent="save">
      <section class="card" aria-labelledby="school">
        <h2 id="school">{{ t('settings.schoolTitle') }}</h2>
        <v-text-field v-model="draft.school" :label="t('settings.field.school')" maxlength="120" />
        <fieldset>
          <legend>{{ t('settings.gradesLead') }}</legend>
          <v-text-field
            v-for="(_, grade) in draft.gradeNames"
            :key="grade"
            v-model="draft.gradeNames[grade]"
            :label="t(`grade.${grade}`)"
            maxlength="24"
          />
        </fieldset>
        <v-textarea v-model="draft.familyNote" :label="t('settings.field.familyNote')" maxlength="1000" />
      </section>
      <div class="stack">
        <section class="card" aria-labelledby="policies">
          <h2 id="policies">{{ t('settings.policyTitle') }}</h2>
          <p class="quiet">{{ t('settings.policyLead') }}</p>
          <v-select
            v-model="draft.policy.hold"
            :items="choices('hold', holdPolicies)"
            :label="t('settings.holdLabel')"
          />
          <v-select
            v-model="draft.policy.warmUp"
            :items="choices('warmUp', warmUpStyles)"
            :label="t('settings.warmUpLabel')"
          />
        </section>
        <section class="card" aria-labelledby="days">
          <h2 id="days">{{ t('settings.daysTitle') }}</h2>
          <v-autocomplete v-model="draft.zone" :items="zones" :label="t('settings.field.zone')" />
          <div class="pair">
            <v-text-field v-model="dayStart" type="time" :label="t('settings.field.dayStart')" />
            <v-select v-model="draft.weekStart" :items="days" :label="t('settings.field.weekStart')" />
          </div>
        </section>
        <section class="card" aria-labelledby="look">
          <h2 id="look">{{ t('settings.lookTitle') }}</h2>
          <v-select v-model="floor" :items="choices('floor', floors)" :label="t('settings.floorLabel')" />
        </section>
      </div>
      <div class="foot">
        <v-btn class="main" type="submit" :disabled="!changed" :loading="busy">{{ t('settings.save') }}</v-btn>
        <span role="status" class="quiet">{{ saved && !changed ? t('settings.saved') : '' }}</span>
      </div>
      <p v-if="problem" class="care problem" role="alert">{{ problem }}</p>
    </form>
  </main>
</template>

<style scoped>
.settings {
  padding: 20px 24px 40px;
  max-width: 1000px;
}
h1 {
  font-size: 26px;
  margin-bottom: 16px;
}
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(400px, 100%), 1fr));
  gap: 18px;
  align-items: start;
}
.stack {
  display: grid;
  gap: 18px;
}
section {
  padding: 16px;
  display: grid;
  gap: 14px;
}
h2 {
  font-size: 17px;
}
p {
  margin: 0;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  gap: 14px 10px;
}
legend {
  padding: 0 0 8px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.foot,
.problem {
  grid-column: 1 / -1;
}
.foot {
  display: flex;
  gap: 16px;
  align-items: center;
}
.problem {
  white-space: pre-line;
}
</style>
