<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { stationsOf } from '@esfuerzo/core'
import { readText } from '@esfuerzo/core/notation'
import { useReadings } from '../reading/useReadings.ts'
import { vFocusFirst } from '../shared/focusFirst.ts'
import { usePlans, type PlanFile, type PlanSession } from '../reading/usePlans.ts'
import { library } from '../repertoire/library.ts'
import { problemSentence } from '../words/i18n.ts'
import { begunGroups } from './begunGroups.ts'
import { leftWords } from './leftWords.ts'

/** Old plans that were dropped: for each what was read, what is asked, what is kept as a note; one is opened after the other. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ look: [session: PlanSession, file: PlanFile]; add: [] }>()
const { t } = useI18n()
const plans = usePlans()
const { readings, country } = useReadings()

/** What a text came to, in numbers. */
function cameTo({ text }: PlanSession) {
  const { workout, questions } = readText(text, library, {
    groups: begunGroups,
    readings: readings.value,
    country: country.value,
  })
  const blocks = workout.sections.flatMap((s) => s.blocks)
  const stations = blocks.flatMap(stationsOf)
  const notes = [...workout.sections, ...blocks, ...stations].filter((one) => one.note).length
  return { title: workout.title, rows: stations.length, asked: questions.length, notes }
}
const files = computed(() =>
  plans.files.map((file) => ({
    ...file,
    sessions: file.sessions.map((session) => ({ session, ...cameTo(session) })),
    left: leftWords(file.left, t),
    of: file,
  })),
)
const onDrop = (key: string) => {
  plans.drop(key)
  if (!plans.files.length) open.value = false
}
</script>

<template>
  <v-dialog v-model="open" :max-width="760" scrollable :aria-label="t('plans.title')">
    <v-card>
      <v-card-title>{{ t('plans.title') }}</v-card-title>
      <v-card-text>
        <p class="quiet">{{ t('plans.lead') }}</p>
        <ul aria-live="polite">
          <li v-for="file in files" :key="file.key">
            <div class="head">
              <b>{{ file.name }}</b>
              <span v-if="file.state === 'reading'" class="quiet">{{ t('plans.reading') }}</span>
              <span v-if="file.sessions.length > 1" class="quiet">{{
                t('plans.sessions', { n: file.sessions.length })
              }}</span>
              <span class="grow" />
              <v-btn class="plain" :aria-label="t('plans.dropOf', { name: file.name })" @click="onDrop(file.key)">{{
                t('plans.drop')
              }}</v-btn>
            </div>
            <p v-for="problem in file.problems" :key="problem.code" class="care">{{ problemSentence(problem) }}</p>
            <p v-for="text in file.left" :key="text" class="quiet">{{ text }}</p>
            <div v-for="{ session, title, rows, asked, notes } in file.sessions" :key="session.key" class="session">
              <span class="name">{{ title }}</span>
              <span class="quiet num">{{
                [
                  t('plans.rows', { n: rows }),
                  asked ? t('plans.asked', { n: asked }) : '',
                  notes ? t('plans.notes', { n: notes }) : '',
                ]
                  .filter(Boolean)
                  .join(' · ')
              }}</span>
              <router-link v-if="session.made" :to="{ name: 'compose', params: { id: session.made.id } }">{{
                t('plans.made', { title: session.made.title })
              }}</router-link>
              <v-btn
                v-else
                :aria-label="t('plans.lookOf', { title, name: file.name })"
                @click="emit('look', session, file.of)"
                >{{ t('plans.look') }}</v-btn
              >
            </div>
          </li>
        </ul>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="emit('add')">{{ t('plans.add') }}</v-btn>
        <v-btn v-focus-first class="main" @click="open = false">{{ t('close') }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
p {
  margin: 0 0 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 12px 0;
  border-top: 1px solid var(--hair);
}
.head,
.session {
  display: flex;
  align-items: center;
  gap: 12px;
}
.head b {
  overflow-wrap: anywhere;
}
.session {
  padding: 4px 0 4px 16px;
}
.name {
  flex: 1;
  min-width: 0;
}
.grow {
  flex: 1;
}
a {
  color: var(--action);
  font-weight: 700;
}
</style>
