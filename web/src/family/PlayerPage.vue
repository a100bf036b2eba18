<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import PlayerStage, { type LaneResult } from '../player/PlayerStage.vue'
import type { KeptRun } from '../player/usePlayer.ts'
import LinkProblem from './LinkProblem.vue'
import { dropUnderway, keepRecord, keepUnderway, readUnderway, type RunUnderway } from './runRecord.ts'
import { useLinkedSession } from './session.ts'

const props = defineProps<{ token: string }>()
const { t } = useI18n()
const { session, error, load } = useLinkedSession(props.token)
const query = new URLSearchParams(location.search)
/** A try-out may go faster than life: `?speed=10`. */
const speed = Math.min(60, Math.max(1, Number(query.get('speed')) || 1))
const target = query.get('target') ?? undefined

/** What is run: the lanes that were picked; the run that is on, where the page was loaded again. */
const run = computed(() => {
  const found = session.value
  if (!found) return undefined
  const known = found.publication.lanes.map((l) => l.id)
  const picked = query.getAll('lane').filter((id) => known.includes(id))
  const lanes = (picked.length ? picked : known.slice(0, 1)).slice(0, 2)
  const underway = readUnderway(props.token, found.sha256)
  const same = underway?.lanes.join() === lanes.join() ? underway : undefined
  return { lanes, underway: same, startedAt: same?.startedAt ?? new Date().toISOString() }
})

function onKeep(kept: KeptRun) {
  const { lanes, startedAt } = run.value!
  const underway: RunUnderway = {
    lanes,
    startedAt,
    sha256: session.value!.sha256,
    keptAt: Date.now(),
    run: kept,
    ...(target && { target }),
  }
  keepUnderway(props.token, underway)
}

const router = useRouter()
function onFinish(lanes: LaneResult[]) {
  dropUnderway(props.token)
  keepRecord(props.token, {
    lanes,
    startedAt: run.value!.startedAt,
    finishedAt: new Date().toISOString(),
    ...(target && { target }),
  })
  void router.replace({ name: 'done', params: { token: props.token } })
}
</script>

<template>
  <LinkProblem v-if="error" :code="error" @again="load" />
  <PlayerStage
    v-else-if="session && run"
    :publication="session.publication"
    :lanes="run.lanes"
    :speed="speed"
    v-bind="run.underway ? { kept: run.underway.run } : {}"
    @keep="onKeep"
    @finish="onFinish"
  />
  <main v-else class="page">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
</template>
