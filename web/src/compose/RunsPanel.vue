<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, type RunSummary } from '@esfuerzo/contract'
import RunItem from '../desk/RunItem.vue'
import { client } from '../shared/client.ts'

const props = defineProps<{ workoutId: string }>()
const { t } = useI18n()
const runs = shallowRef<RunSummary[]>()
const problem = shallowRef('')

async function load() {
  problem.value = ''
  try {
    runs.value = (await client('listRuns', { query: { workout: props.workoutId } })).runs
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
onMounted(load)
</script>

<template>
  <div class="runs">
    <template v-if="problem">
      <p class="care" role="alert">{{ problem }}</p>
      <v-btn @click="load">{{ t('tryAgain') }}</v-btn>
    </template>
    <p v-else-if="!runs" class="quiet">{{ t('loading') }}</p>
    <p v-else-if="!runs.length" class="quiet">{{ t('runs.none') }}</p>
    <ul v-else>
      <RunItem v-for="run in runs" :key="run.run.id" :run="run" short />
    </ul>
  </div>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
