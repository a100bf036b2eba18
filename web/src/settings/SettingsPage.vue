<script setup lang="ts">
import { mdiTrashCanOutline } from '@mdi/js'
import { computed, onMounted, ref, toRaw, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { onBeforeRouteLeave } from 'vue-router'
import type { VForm } from 'vuetify/components'
import { cleanText, countries, holdPolicies, settingsSchema, warmUpStyles, type Settings } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { problemText } from '../words/i18n.ts'
import { ruleOf, useForm } from '../words/useForm.ts'
import ChildChoice from '../shared/figure/ChildChoice.vue'
import { floors, useFloor } from '../shared/look/useFloor.ts'
import { useSettings } from './store.ts'
import ChoiceField from '../shared/fields/ChoiceField.vue'
import FieldList from '../shared/fields/FieldList.vue'
import { choiceField } from '../shared/fields/field.ts'
import CheckPolicies from './CheckPolicies.vue'

/** The school: its names for grades, its days and weeks, and its choices where good teachers differ. */
const { t, locale } = useI18n()
const store = useSettings()
const saved = ref(false)
const { floor } = useFloor()
const childNames = computed(() => ({
  crop: t('settings.children.crop'),
  tail: t('settings.children.tail'),
  curls: t('settings.children.curls'),
}))
/** As it is stored: without invisible blanks. */
const cleaned = ({ school, familyNote, gradeNames, ...rest }: Settings): Settings => ({
  ...rest,
  school: cleanText(school, 'line'),
  familyNote: cleanText(familyNote, 'paragraph'),
  gradeNames: gradeNames.map((name) => cleanText(name, 'line').trim()),
})
const shown = useTemplateRef<VForm>('shown')
async function send(now: Settings | undefined) {
  if (!now) return
  await store.save(cleaned(now))
  saved.value = true
}
const form = useForm<Settings | undefined>(undefined, send, shown)
const { draft, changed, busy, refusal, refusedAt } = form
const set = (change: Partial<Settings>) => (draft.value = draft.value && { ...draft.value, ...change })
const setPolicy = (change: Partial<Settings['policy']>) =>
  draft.value && set({ policy: { ...draft.value.policy, ...change } })
const policies = computed(() => {
  const { hold, warmUp } = draft.value!.policy
  return [
    choiceField(t('settings.holdLabel'), holdPolicies, 'settings.hold', hold, (to) => setPolicy({ hold: to })),
    choiceField(t('settings.warmUpLabel'), warmUpStyles, 'settings.warmUp', warmUp, (to) => setPolicy({ warmUp: to })),
  ]
})
const setGradeName = (grade: number, name: string) =>
  set({ gradeNames: draft.value?.gradeNames.map((before, i) => (i === grade ? name : before)) ?? [] })
const { school, familyNote, gradeNames, zone } = settingsSchema.shape
/** A refused value is reported at its field; everything else here. */
const elsewhere = computed(() => {
  const atField = ['school', 'familyNote', 'gradeNames', 'zone']
  const rest = refusal.value?.problems.filter((p) => !atField.includes(String(p.path[0]))) ?? []
  return [refusal.value?.sentence, ...rest.map(problemText)].filter(Boolean).join('\n')
})

onMounted(() => void store.load())
watch(
  () => store.settings,
  (now) => form.begin(now && structuredClone(toRaw(now))),
  { immediate: true },
)
watch(changed, (on) => on && (saved.value = false))

const libraryMoves = new Map(libraryData.moves.map((move) => [move.id, move]))

/** The meanings of her own words, alphabetically. */
const words = computed(() =>
  Object.entries(draft.value?.readings ?? {})
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([word, reading]) => ({ word, meaning: meaningOf(reading) })),
)
function meaningOf(reading: string): string {
  if (reading === 'own' || reading === 'note') return t(`ask.${reading}`)
  const [id, version] = reading.split(':')
  const move = libraryMoves.get(id!)
  return move?.versions.find((v) => v.id === version)?.name ?? move?.name ?? reading
}
function forget(word: string) {
  const { [word]: _, ...readings } = draft.value?.readings ?? {}
  set({ readings })
}

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
const dayStart = computed({
  get: () => {
    const minutes = draft.value?.dayStart ?? 0
    return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
  },
  set: (time) => {
    const [hours, minutes] = time.split(':').map(Number)
    if (Number.isInteger(hours) && Number.isInteger(minutes)) set({ dayStart: hours! * 60 + minutes! })
  },
})

// Changes are saved on leaving; if they cannot be, the page stays.
onBeforeRouteLeave(() => form.save())
</script>

<template>
  <main class="settings">
    <header class="with-link">
      <h1>{{ t('settings.title') }}</h1>
      <router-link :to="{ name: 'account' }">{{ t('nav.account') }}</router-link>
    </header>
    <p v-if="store.error && !draft" class="care" role="alert">
      {{ t(`errors.${store.error}`) }} <v-btn @click="store.load()">{{ t('tryAgain') }}</v-btn>
    </p>
    <p v-else-if="!draft" class="quiet">{{ t('loading') }}</p>
    <v-form v-else ref="shown" @submit.prevent="form.save()">
      <div class="stack">
        <section class="card" aria-labelledby="school">
          <h2 id="school">{{ t('settings.schoolTitle') }}</h2>
          <v-text-field
            :model-value="draft.school"
            :label="t('settings.field.school')"
            :rules="[ruleOf(school)]"
            :error-messages="refusedAt('school')"
            maxlength="120"
            @update:model-value="set({ school: $event })"
          />
          <ChoiceField
            :model-value="draft.country"
            :options="countries"
            named="settings.country"
            :label="t('settings.field.country')"
            :hint="t('settings.countryHint')"
            persistent-hint
            @update:model-value="set({ country: $event })"
          />
          <fieldset>
            <legend>{{ t('settings.gradesLead') }}</legend>
            <v-text-field
              v-for="(_, grade) in draft.gradeNames"
              :key="grade"
              :model-value="draft.gradeNames[grade]"
              :label="t(`grade.${grade}`)"
              :rules="[(name) => ruleOf(gradeNames.element)(cleanText(name, 'line').trim())]"
              :error-messages="refusedAt('gradeNames', grade)"
              maxlength="24"
              @update:model-value="setGradeName(grade, $event)"
            />
          </fieldset>
          <v-textarea
            :model-value="draft.familyNote"
            :label="t('settings.field.familyNote')"
            :rules="[ruleOf(familyNote)]"
            :error-messages="refusedAt('familyNote')"
            maxlength="1000"
            @update:model-value="set({ familyNote: $event })"
          />
        </section>
        <section class="card" aria-labelledby="words">
          <h2 id="words">{{ t('reading.words') }}</h2>
          <p class="quiet">{{ t('reading.wordsLead') }}</p>
          <p v-if="!words.length" class="quiet">{{ t('reading.noWords') }}</p>
          <ul v-else class="words">
            <li v-for="{ word, meaning } in words" :key="word">
              <span>{{ t('reading.wordIs', { word, meaning }) }}</span>
              <v-btn
                class="plain"
                :icon="mdiTrashCanOutline"
                :aria-label="t('reading.forget', { word })"
                @click="forget(word)"
              />
            </li>
          </ul>
        </section>
      </div>
      <div class="stack">
        <section class="card" aria-labelledby="policies">
          <h2 id="policies">{{ t('settings.policyTitle') }}</h2>
          <p class="quiet">{{ t('settings.policyLead') }}</p>
          <FieldList :fields="policies" />
        </section>
        <section class="card" aria-labelledby="checks">
          <h2 id="checks">{{ t('settings.checksTitle') }}</h2>
          <p class="quiet">{{ t('settings.checksLead') }}</p>
          <CheckPolicies :model-value="draft.checks" @update:model-value="set({ checks: $event })" />
        </section>
        <section class="card" aria-labelledby="days">
          <h2 id="days">{{ t('settings.daysTitle') }}</h2>
          <v-autocomplete
            :model-value="draft.zone"
            :items="zones"
            :label="t('settings.field.zone')"
            :rules="[ruleOf(zone)]"
            :error-messages="refusedAt('zone')"
            @update:model-value="set({ zone: $event })"
          />
          <div class="pair">
            <v-text-field v-model="dayStart" type="time" :label="t('settings.field.dayStart')" />
            <v-select
              :model-value="draft.weekStart"
              :items="days"
              :label="t('settings.field.weekStart')"
              @update:model-value="set({ weekStart: $event })"
            />
          </div>
        </section>
        <section class="card" aria-labelledby="look">
          <h2 id="look">{{ t('settings.lookTitle') }}</h2>
          <ChoiceField v-model="floor" :options="floors" named="settings.floor" :label="t('settings.floorLabel')" />
          <ChildChoice :label="t('settings.child')" :names="childNames" />
        </section>
      </div>
      <div class="foot">
        <v-btn class="main" type="submit" :disabled="!changed" :loading="busy">{{ t('settings.save') }}</v-btn>
        <span role="status" class="quiet">{{ saved && !changed ? t('settings.saved') : '' }}</span>
      </div>
      <p v-if="elsewhere" class="care problem" role="alert">{{ elsewhere }}</p>
    </v-form>
  </main>
</template>

<style scoped>
header a {
  padding: 2px 0;
}
.with-link {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.words {
  max-height: 320px;
  overflow: auto;
}
.words li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  overflow-wrap: anywhere;
}
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
section {
  padding: 16px;
  display: grid;
  gap: 14px;
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
