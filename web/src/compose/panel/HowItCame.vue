<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Original } from '@esfuerzo/contract'
import { client } from '../../shared/client.ts'
import { refusalOf } from '../../words/refusal.ts'
import AppDialog from '../../shared/dialog/AppDialog.vue'

/** The text a session was created from, unchanged, for reference until it is deleted. */
const props = defineProps<{ id: string }>()
const { t, d } = useI18n()
const original = shallowRef<Original | null>(null)
const open = ref(false)
const problem = ref('')

// Without it there is no more text: other sessions have none.
client('readOriginal', { params: { id: props.id } }).then(
  (answer) => (original.value = answer.original),
  () => {},
)
async function onThrowAway() {
  try {
    await client('removeOriginal', { params: { id: props.id } })
    open.value = false
    original.value = null
  } catch (error) {
    problem.value = refusalOf(error).sentence
  }
}
</script>

<template>
  <v-btn v-if="original" class="how" @click="open = true">{{ t('original.open') }}</v-btn>
  <AppDialog v-if="original" v-model="open" :title="t('original.open')" :width="640">
    <p class="quiet">{{ t('original.lead', { when: d(new Date(original.at)) }) }}</p>
    <pre tabindex="0">{{ original.text }}</pre>
    <template #actions>
      <p v-if="problem" class="care" role="alert">{{ problem }}</p>
      <v-btn @click="onThrowAway">{{ t('original.away') }}</v-btn>
      <v-btn class="main" @click="open = false">{{ t('close') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
.how {
  align-self: start;
}
pre {
  margin: 0;
  padding: 12px;
  border-radius: var(--corner);
  background: var(--floor);
  font: 15px/1.5 var(--text);
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
