<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { usePlans, type PlanFile, type PlanSession } from '../reading/usePlans.ts'
import { problemSentence } from '../words/i18n.ts'
import { leftWords } from './leftWords.ts'
import PlanItem from './PlanItem.vue'
import AppDialog from '../shared/dialog/AppDialog.vue'

/** Imported plans: what was read, asked and kept as a note; they are opened one after the other. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ look: [session: PlanSession, file: PlanFile]; add: [] }>()
const { t } = useI18n()
const plans = usePlans()
const onDrop = (key: string) => {
  plans.drop(key)
  if (!plans.files.length) open.value = false
}
</script>

<template>
  <AppDialog v-model="open" :title="t('plans.title')" :width="760">
    <p class="quiet">{{ t('plans.lead') }}</p>
    <ul aria-live="polite">
      <li v-for="file in plans.files" :key="file.key">
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
        <p v-for="text in leftWords(file.left, t)" :key="text" class="quiet">{{ text }}</p>
        <PlanItem
          v-for="session in file.sessions"
          :key="session.key"
          :session="session"
          :file="file.name"
          @look="emit('look', session, file)"
        />
      </li>
    </ul>
    <template #actions>
      <v-btn @click="emit('add')">{{ t('plans.add') }}</v-btn>
      <v-btn class="main" @click="open = false">{{ t('close') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
p {
  margin: 0 0 4px;
}
li {
  padding: 12px 0;
  border-top: 1px solid var(--hair);
}
.head {
  display: flex;
  align-items: center;
  gap: 12px;
}
.head b {
  overflow-wrap: anywhere;
}
</style>
