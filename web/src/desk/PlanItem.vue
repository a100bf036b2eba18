<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { stationsOf } from '@esfuerzo/core'
import { readText } from '@esfuerzo/core/notation'
import type { PlanSession } from '../reading/usePlans.ts'
import { useReadings } from '../reading/useReadings.ts'
import { library } from '../repertoire/library.ts'
import { begunGroups } from './begunGroups.ts'

/** A session of an imported plan: its size, and a way into it; or the session it became. */
const props = defineProps<{ session: PlanSession; /** Its name. */ file: string }>()
const emit = defineEmits<{ look: [] }>()
const { t } = useI18n()
const { readings, country } = useReadings()

const read = computed(() => {
  const options = { groups: begunGroups, readings: readings.value, country: country.value }
  return readText(props.session.text, library, options)
})
const title = computed(() => read.value.workout.title)
const cameTo = computed(() => {
  const { workout: session, questions } = read.value
  const blocks = session.sections.flatMap((s) => s.blocks)
  const stations = blocks.flatMap(stationsOf)
  const notes = [...session.sections, ...blocks, ...stations].filter((one) => one.note).length
  return [
    t('plans.rows', { n: stations.length }),
    questions.length ? t('plans.asked', { n: questions.length }) : '',
    notes ? t('plans.notes', { n: notes }) : '',
  ]
    .filter(Boolean)
    .join(' · ')
})
</script>

<template>
  <div class="session">
    <span class="name">{{ title }}</span>
    <span class="quiet num">{{ cameTo }}</span>
    <router-link v-if="session.made" :to="{ name: 'compose', params: { id: session.made.id } }">{{
      t('plans.made', { title: session.made.title })
    }}</router-link>
    <v-btn v-else :aria-label="t('plans.lookOf', { title, name: file })" @click="emit('look')">{{
      t('plans.look')
    }}</v-btn>
  </div>
</template>

<style scoped>
.session {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 0 4px 16px;
}
.name {
  flex: 1;
  min-width: 0;
}
a {
  color: var(--action);
  font-weight: 700;
}
</style>
