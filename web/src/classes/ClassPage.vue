<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { gradesName } from '@esfuerzo/core'
import { goesSoon, keptUntil, lastYearToGo } from '@esfuerzo/core/classBook'
import {
  type Pupil,
  type RemovedPupil,
  type SchoolClass,
  type SentSession,
  type TestOverDates,
} from '@esfuerzo/contract'
import { useNextSession } from '../runs/useNextSession.ts'
import { client } from '../shared/client.ts'
import { usePageTitle } from '../shared/pageTitle.ts'
import { useSettings } from '../settings/store.ts'
import BookPanel from './book/BookPanel.vue'
import BookTools from './book/BookTools.vue'
import TestsPanel from './book/TestsPanel.vue'
import ClassFields from './ClassFields.vue'
import { useTried } from './useTried.ts'
import PaceCard from './PaceCard.vue'
import PupilsPanel from './PupilsPanel.vue'
import { changedFields, cleanDraft, draftOf, isWhole, movedUp, newClassDraft } from './classDraft.ts'

/** A class: its results, pupils, name and retention. */
const props = defineProps<{ classId: string }>()
const { t, locale } = useI18n()
const route = useRoute()
const router = useRouter()
const settings = useSettings()
void settings.load()
const schoolClass = shallowRef<SchoolClass>()
usePageTitle(() => schoolClass.value?.name)
const pupils = shallowRef<readonly Pupil[]>([])
const removed = shallowRef<readonly RemovedPupil[]>([])
const classes = shallowRef<readonly SchoolClass[]>([])
const sessions = shallowRef<readonly SentSession[]>()
const tests = shallowRef<readonly TestOverDates[]>([])
const { problem, tried } = useTried()
const { make, making, problem: notMade } = useNextSession()
const draft = ref(newClassDraft())
const saved = ref(false)

const params = computed(() => ({ id: props.classId }))
const load = () =>
  tried(async () => {
    const [read, all, sent, measured] = await Promise.all([
      client('readClass', { params: params.value }),
      client('listClasses', {}),
      client('listSentSessions', { params: params.value }),
      client('readTests', { params: params.value }),
    ])
    tests.value = measured.tests
    schoolClass.value = read.class
    pupils.value = read.pupils
    removed.value = read.removed
    classes.value = all.classes
    sessions.value = sent.sessions
    draft.value = draftOf(read.class)
  })
watch(() => props.classId, load, { immediate: true })

const views = ['results', 'tests', 'pupils', 'class'] as const
type View = (typeof views)[number]
const view = computed<View>(() => views.find((v) => v === route.query.show) ?? 'results')
const show = (next: View) => router.replace({ query: { ...route.query, show: next } })
/** The session shown: the requested one, otherwise the latest with a value, otherwise the latest. */
const shown = computed(() => {
  const all = sessions.value ?? []
  return all.find((s) => s.id === route.query.session) ?? all.find((s) => s.pupils > 0) ?? all[0]
})
const day = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toFormat('d LLL yyyy')
const items = computed(() =>
  (sessions.value ?? []).map((s) => ({
    value: s.id,
    title: t('book.session', { title: s.title, date: day(s.sentAt), n: s.pupils, of: pupils.value.length }),
  })),
)
const soon = computed(() => schoolClass.value && goesSoon(schoolClass.value, DateTime.now().toISODate()))

/** Up to which day results would be deleted at once if it were saved. */
const drops = computed(() => {
  if (!schoolClass.value || !isWhole(draft.value)) return undefined
  const today = DateTime.now().toISODate()
  const [now, then] = [schoolClass.value, draft.value].map((rule) => lastYearToGo(rule, today))
  return then! > now! ? then : undefined
})
const save = (next = draft.value) =>
  tried(async () => {
    const body = changedFields(draftOf(schoolClass.value!), cleanDraft(next))
    schoolClass.value = await client('saveClass', { params: params.value, body })
    draft.value = draftOf(schoolClass.value)
    saved.value = true
  })
const onKeepLonger = () =>
  schoolClass.value &&
  save({ ...draftOf(schoolClass.value), keepMonths: Math.min(24, schoolClass.value.keepMonths + 3) })
const onRemove = () =>
  tried(async () => {
    await client('removeClass', { params: params.value })
    await router.push({ name: 'classes' })
  })
watch(draft, () => (saved.value = false))
</script>

<template>
  <main class="class">
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <p v-if="notMade" class="care" role="alert">{{ t(`errors.${notMade}`) }}</p>
    <p v-if="!schoolClass && !problem" class="quiet">{{ t('loading') }}</p>
    <template v-if="schoolClass">
      <header>
        <div>
          <h1>{{ schoolClass.name }}</h1>
          <p class="quiet">
            {{
              t(
                'classes.about',
                { grades: gradesName(schoolClass.grades, settings.gradeNames), n: pupils.length },
                pupils.length,
              )
            }}
            · {{ t('classes.kept', { date: day(keptUntil(schoolClass)) }) }}
          </p>
        </div>
        <div class="views no-paper" role="tablist">
          <button
            v-for="name in views"
            :id="`tab-${name}`"
            :key="name"
            type="button"
            role="tab"
            :aria-selected="view === name"
            :aria-controls="`view-${name}`"
            @click="show(name)"
          >
            {{ t(`classes.view.${name}`) }}
          </button>
        </div>
      </header>
      <p v-if="soon" class="card care soon" role="status">
        {{ t('classes.soonLong', { date: day(soon) }) }}
        <v-btn @click="onKeepLonger">{{ t('classes.keepLonger') }}</v-btn>
        <router-link :to="{ name: 'account' }">{{ t('classes.takeAlong') }}</router-link>
      </p>
      <section :id="`view-${view}`" role="tabpanel" :aria-labelledby="`tab-${view}`">
        <template v-if="view === 'results'">
          <div v-if="sessions && !sessions.length" class="card empty">
            <h2>{{ t('book.noSessions') }}</h2>
            <p>{{ t('book.noSessionsText') }}</p>
            <v-btn class="main" :to="{ name: 'desk' }">{{ t('lost.back') }}</v-btn>
          </div>
          <template v-if="shown">
            <v-select
              class="session"
              :model-value="shown.id"
              :items="items"
              :label="t('book.sessionLabel')"
              hide-details
              @update:model-value="router.replace({ query: { ...route.query, session: $event } })"
            />
            <BookPanel
              :key="`${schoolClass.id} ${shown.id}`"
              :of="schoolClass"
              :pupils="pupils"
              :publication="shown.id"
              :title="shown.title"
            >
              <template #pupils><v-btn class="main" @click="show('pupils')">{{ t('pupils.add') }}</v-btn></template>
              <template #tools="{ book }"
                ><v-btn :disabled="making" @click="make(shown.workoutId, classId)">{{ t('next.make') }}</v-btn>
                <BookTools :book="book" :pupils="pupils" :title="`${schoolClass.name} ${shown.title}`"
              /></template>
            </BookPanel>
          </template>
        </template>
        <TestsPanel
          v-else-if="view === 'tests'"
          :tests="tests"
          :pupils="pupils"
          :grade="Math.min(...schoolClass.grades)"
          @open="router.replace({ query: { show: 'results', session: $event } })"
        />
        <PupilsPanel
          v-else-if="view === 'pupils'"
          :of="schoolClass"
          :pupils="pupils"
          :removed="removed"
          :classes="classes"
          @changed="load"
        />
        <form v-if="view === 'class'" class="card about" @submit.prevent="save()">
          <ClassFields v-model="draft" />
          <p v-if="drops" class="care" role="alert">{{ t('classes.drops', { date: day(drops) }) }}</p>
          <div class="row">
            <v-btn class="main" type="submit" :disabled="!isWhole(draft)">{{ t('classes.save') }}</v-btn>
            <v-btn @click="draft = movedUp(draft)">{{ t('classes.moveUp') }}</v-btn>
            <span role="status" class="quiet">{{ saved ? t('classes.saved') : '' }}</span>
          </div>
          <p class="quiet">{{ t('classes.moveUpLead') }}</p>
          <div class="row">
            <v-btn class="danger" @click="onRemove">{{
              t('classes.remove', { n: pupils.length }, pupils.length)
            }}</v-btn>
            <span class="quiet">{{ t('classes.removeLead') }}</span>
          </div>
        </form>
        <PaceCard
          v-if="view === 'class'"
          :of="schoolClass"
          @use="(pace) => schoolClass && save({ ...draftOf(schoolClass), pace })"
        />
      </section>
    </template>
  </main>
</template>

<style scoped>
.class {
  padding: 18px 24px 24px;
  display: grid;
  gap: 12px;
  align-content: start;
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 8px 16px;
}
p {
  margin: 4px 0 0;
}
.views {
  display: flex;
  gap: 4px;
}
.views button {
  min-height: 40px;
  padding: 0 14px;
  border: 1px solid transparent;
  border-bottom: 3px solid transparent;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
@media (max-width: 640px) {
  .class {
    padding: 14px 12px 16px;
  }
  .class > *,
  .views {
    min-width: 0;
    max-width: 100%;
  }
  .views {
    overflow-x: auto;
    white-space: nowrap;
  }
  .views button {
    flex: none;
    min-height: 44px;
  }
}
.views button[aria-selected='true'] {
  border-bottom-color: var(--action);
  font-weight: 700;
}
.soon a {
  color: var(--action);
  font-weight: 700;
}
.soon {
  padding: 10px 16px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
.session {
  max-width: 620px;
  margin-bottom: 10px;
}
section {
  min-width: 0;
}
.empty,
.about {
  padding: 16px;
  display: grid;
  gap: 14px;
  justify-items: start;
  max-width: 760px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
</style>
