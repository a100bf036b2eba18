<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import LinkProblem from './LinkProblem.vue'
import { useRouter } from 'vue-router'
import PlayerStage from '../player/PlayerStage.vue'
import { keepRecord } from './runRecord.ts'
import { useLinkedSession } from './session.ts'

const props = defineProps<{ token: string }>()
const { t } = useI18n()
const { session, error, load } = useLinkedSession(props.token)
const query = new URLSearchParams(location.search)
const lane = computed(
  () => session.value?.publication.lanes.find((l) => l.id === query.get('lane')) ?? session.value?.publication.lanes[0],
)
/** A try-out may go faster than life: `?speed=10`. */
const speed = Math.min(60, Math.max(1, Number(query.get('speed')) || 1))

const router = useRouter()
const startedAt = new Date()
function onFinish(result: { done: number; skipped: number }) {
  keepRecord(props.token, {
    lane: lane.value!.id,
    startedAt: startedAt.toISOString(),
    finishedAt: new Date().toISOString(),
    ...result,
  })
  void router.replace({ name: 'done', params: { token: props.token } })
}
</script>

<template>
  <LinkProblem v-if="error" :code="error" @again="load" />
  <PlayerStage
    v-else-if="session && lane"
    :publication="session.publication"
    :lane="lane"
    :speed="speed"
    @finish="onFinish"
  />
  <main v-else class="page">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
</template>
