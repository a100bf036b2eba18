<script setup lang="ts" generic="T">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode } from '@esfuerzo/contract'
import type { Revision, RevisionedStore } from './useRevisioned.ts'
import AppDialog from '../shared/dialog/AppDialog.vue'

/** Shows what changed here and in another place, and lets the teacher choose a version. Both are kept. */
const props = defineProps<{
  store: RevisionedStore<T>
  /** What differs between two states, a line each. */
  differences: (from: T, to: T) => string[]
  /** Shown if there is no difference. */
  noDifference: string
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ keepBoth: [] }>()
const { t } = useI18n()
const theirs = shallowRef<Revision<T>>()
const problem = ref('')

async function tried(work: () => Promise<unknown>): Promise<boolean> {
  problem.value = ''
  try {
    await work()
    return true
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
    return false
  }
}
const load = () => tried(async () => (theirs.value = await props.store.readStored()))
onMounted(load)
const sides = computed(() => {
  const { stored, document } = props.store
  return [
    { name: t('conflict.here'), lines: props.differences(stored, document) },
    { name: t('conflict.there'), lines: theirs.value ? props.differences(stored, theirs.value.document) : [] },
  ]
})
async function onKeepMine() {
  if (theirs.value && (await tried(() => props.store.keepMine(theirs.value!)))) open.value = false
}
</script>

<template>
  <AppDialog v-model="open" :title="t('conflict.title')">
    <p>{{ t('conflict.lead') }}</p>
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <div class="sides">
      <section v-for="side in sides" :key="side.name">
        <h3>{{ side.name }}</h3>
        <ul v-if="side.lines.length" class="bullets">
          <li v-for="line in side.lines" :key="line">{{ line }}</li>
        </ul>
        <p v-else class="quiet">{{ noDifference }}</p>
      </section>
    </div>
    <template #actions>
      <v-btn @click="open = false">{{ t('cancel') }}</v-btn>
      <v-btn :disabled="!theirs" @click="onKeepMine">{{ t('conflict.keepMine') }}</v-btn>
      <v-btn class="main" @click="emit('keepBoth')">{{ t('save.keepBoth') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 20px;
}
h3 {
  font-size: 16px;
}
ul {
  margin-top: 6px;
}
</style>
