<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { joinSessions } from '@esfuerzo/core'
import { callCode, type SessionSummary } from '@esfuerzo/contract'
import { client } from '../../shared/client.ts'
import { useSession } from '../session/useSession.ts'
import { useMessages } from '../useMessages.ts'
import { useEdits } from '../edits/useEdits.ts'
import AppDialog from '../../shared/dialog/AppDialog.vue'

/** Makes a longer session by adding another one's main section. */
const { t } = useI18n()
const session = useSession()
const messages = useMessages()
const edits = useEdits()
const open = ref(false)
const whole = ref(false)
const others = shallowRef<SessionSummary[]>()
const problem = ref('')

async function tried(work: () => Promise<void>) {
  problem.value = ''
  try {
    await work()
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
function onOpen() {
  open.value = true
  void tried(async () => {
    const { workouts: sessions } = await client('listSessions', {})
    others.value = sessions.filter((w) => w.id !== session.id)
  })
}
const onJoin = (id: string, title: string) =>
  tried(async () => {
    const { document } = await client('readSession', { params: { id } })
    if (!edits.edit((w) => joinSessions(w, document, whole.value))) return
    open.value = false
    messages.say({ text: 'joined', params: { title }, undo: true })
  })
</script>

<template>
  <div>
    <v-btn @click="onOpen">{{ t('join.open') }}</v-btn>
    <AppDialog v-model="open" :title="t('join.title')" :width="560">
      <p>{{ t('join.lead') }}</p>
      <v-switch v-model="whole" :label="t('join.whole')" />
      <p v-if="problem" class="care" role="alert">{{ problem }}</p>
      <p v-else-if="!others" class="quiet">{{ t('loading') }}</p>
      <p v-else-if="!others.length" class="quiet">{{ t('join.none') }}</p>
      <ul v-else>
        <li v-for="w in others" :key="w.id">
          <span><b>{{ w.title }}</b> <span class="quiet">{{ t('desk.minutes', { n: w.minutes }) }}</span></span>
          <v-btn :aria-label="t('join.take', { title: w.title })" @click="onJoin(w.id, w.title)">{{
            t('join.takeShort')
          }}</v-btn>
        </li>
      </ul>
      <template #actions><v-btn @click="open = false">{{ t('cancel') }}</v-btn></template>
    </AppDialog>
  </div>
</template>

<style scoped>
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--hair);
}
</style>
