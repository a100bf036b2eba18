<script setup lang="ts">
import { computed, shallowRef, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { differences, type Session } from '@esfuerzo/core'
import { callCode } from '@esfuerzo/contract'
import { client } from '../../shared/client.ts'
import { i18n } from '../../words/i18n.ts'
import { differenceText } from '../../documents/differenceText.ts'
import { useSession } from './useSession.ts'

/** A session that was changed here and elsewhere: what each changed, and which of the two goes on. Both stay. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ keepBoth: [] }>()
const { t } = useI18n()
const session = useSession()
const theirs = shallowRef<{ document: Session; revision: number }>()
const problem = ref('')

watch(open, (on) => on && void load(), { immediate: true })
async function tried(work: () => Promise<unknown>) {
  problem.value = ''
  try {
    await work()
    return true
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
    return false
  }
}
// Declared, not assigned: the dialog is open when it is made.
function load() {
  return tried(async () => (theirs.value = await client('readSession', { params: { id: session.id } })))
}
const lines = (to: Session | undefined) =>
  to ? differences(session.stored, to).map((d) => differenceText(d, session.stored, to, i18n.global.t)) : []
const sides = computed(() => [
  { name: t('conflict.here'), lines: lines(session.document) },
  { name: t('conflict.there'), lines: lines(theirs.value?.document) },
])
function onKeepBoth() {
  open.value = false
  emit('keepBoth')
}
async function onKeepMine() {
  if (theirs.value && (await tried(() => session.keepMine(theirs.value!)))) open.value = false
}
</script>

<template>
  <v-dialog v-model="open" :max-width="720" scrollable :aria-label="t('conflict.title')">
    <v-card>
      <v-card-title>{{ t('conflict.title') }}</v-card-title>
      <v-card-text>
        <p>{{ t('conflict.lead') }}</p>
        <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
        <div class="sides">
          <section v-for="side in sides" :key="side.name">
            <h3>{{ side.name }}</h3>
            <ul v-if="side.lines.length">
              <li v-for="line in side.lines" :key="line">{{ line }}</li>
            </ul>
            <p v-else class="quiet">{{ t('conflict.nothing') }}</p>
          </section>
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="open = false">{{ t('cancel') }}</v-btn>
        <v-btn :disabled="!theirs" @click="onKeepMine">{{ t('conflict.keepMine') }}</v-btn>
        <v-btn class="main" @click="onKeepBoth">{{ t('save.keepBoth') }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
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
  margin: 6px 0 0;
  padding-left: 18px;
}
</style>
