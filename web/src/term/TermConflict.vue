<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, onMounted, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, type CallAnswer } from '@esfuerzo/contract'
import { changedDays } from '@esfuerzo/core/term'
import { client } from '../shared/client.ts'
import { useTerm } from './useTerm.ts'

/** A term that was changed here and elsewhere: which days each changed, and which of the two goes on. Both stay. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ keepBoth: [] }>()
const { t, locale } = useI18n()
const store = useTerm()
const theirs = shallowRef<CallAnswer<'readTerm'>>()
const problem = shallowRef('')
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
const load = () => tried(async () => (theirs.value = await client('readTerm', { params: { id: store.id } })))
onMounted(load)
const days = (dates: readonly string[]) =>
  dates.map((date) => DateTime.fromISO(date).setLocale(locale.value).toFormat('ccc d LLL')).join(', ')
const sides = computed(() => [
  { name: t('conflict.here'), days: days(changedDays(store.stored, store.term)) },
  { name: t('conflict.there'), days: theirs.value ? days(changedDays(store.stored, theirs.value.document)) : '' },
])
async function onKeepMine() {
  if (theirs.value && (await tried(() => store.keepMine(theirs.value!)))) open.value = false
}
</script>

<template>
  <v-dialog v-model="open" :max-width="560" :aria-label="t('conflict.title')">
    <v-card>
      <v-card-title>{{ t('conflict.title') }}</v-card-title>
      <v-card-text>
        <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
        <section v-for="side in sides" :key="side.name">
          <h3>{{ side.name }}</h3>
          <p>{{ side.days || t('term.otherChanges') }}</p>
        </section>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="open = false">{{ t('cancel') }}</v-btn>
        <v-btn :disabled="!theirs" @click="onKeepMine">{{ t('conflict.keepMine') }}</v-btn>
        <v-btn class="main" @click="emit('keepBoth')">{{ t('save.keepBoth') }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>
