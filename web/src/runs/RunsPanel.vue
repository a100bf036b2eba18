<script setup lang="ts">
import { onMounted } from 'vue'
import { useI18n } from 'vue-i18n'
import { useNextSession } from './useNextSession.ts'
import RunItem from './RunItem.vue'
import { useRuns } from './useRuns.ts'

const props = defineProps<{ sessionId: string }>()
const { t } = useI18n()
const { make, making, problem: notMade } = useNextSession()
const { runs, left, problem, load, more, remove } = useRuns(props.sessionId)
onMounted(load)
</script>

<template>
  <div class="runs">
    <template v-if="problem">
      <p class="care" role="alert">{{ t(`errors.${problem}`) }}</p>
      <v-btn @click="load">{{ t('tryAgain') }}</v-btn>
    </template>
    <p v-else-if="!runs" class="quiet">{{ t('loading') }}</p>
    <p v-else-if="!runs.length" class="quiet">{{ t('runs.none') }}</p>
    <template v-else>
      <v-btn :disabled="making" @click="make(sessionId)">{{ t('next.make') }}</v-btn>
      <p v-if="notMade" class="care" role="alert">{{ t(`errors.${notMade}`) }}</p>
      <ul>
        <RunItem v-for="run in runs" :key="run.run.id" :run="run" short @remove="remove(run)" />
      </ul>
      <v-btn v-if="left" @click="more">{{ t('desk.more', { n: left }) }}</v-btn>
    </template>
  </div>
</template>
