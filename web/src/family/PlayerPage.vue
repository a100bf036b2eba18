<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { useRouter } from 'vue-router'
import PlayerStage, { type LaneResult } from '../player/PlayerStage.vue'
import LinkProblem from './LinkProblem.vue'
import { keptPupils, pupilId } from './pupils.ts'
import type { Life } from './runLife.ts'
import { runs } from './runs.ts'
import { useLinkedSession } from './session.ts'

const props = defineProps<{ token: string }>()
const { t } = useSentences()
const { session, error, load } = useLinkedSession(props.token)
const query = new URLSearchParams(location.search)
/** A preview may run faster than real time: `?speed=10`. */
const speed = Math.min(600, Math.max(1, Number(query.get('speed')) || 1))
const target = query.get('target') ?? undefined

/** The run: the current one after a reload, otherwise a new one. */
const life = shallowRef<Life>()
const stopWaiting = watch(
  session,
  async (found) => {
    if (!found) return
    stopWaiting()
    const { sha256, publication } = found
    const known = publication.lanes.map((l) => l.id)
    const who = query.getAll('who')
    const here = await keptPupils()
    const picked = query.getAll('lane').map((lane, i) => ({ lane, pupil: here.find((p) => pupilId(p) === who[i]) }))
    const runnable = picked.filter(({ lane }) => known.includes(lane)).slice(0, 2)
    const lanes = runnable.length ? runnable : known.slice(0, 1).map((lane) => ({ lane, pupil: undefined }))
    const on = await runs.underway(props.token, sha256)
    const same = on && on.lanes.map((l) => l.lane).join() === lanes.map((l) => l.lane).join()
    life.value = same ? on : await runs.begin({ token: props.token, sha256, title: publication.title, target, lanes })
  },
  { flush: 'post' },
)

const router = useRouter()
async function onFinish(lanes: LaneResult[], ended: 'whole' | 'early') {
  await runs.finish(life.value!, ended, lanes)
  await router.replace({ name: 'done', params: { token: props.token } })
}
</script>

<template>
  <LinkProblem v-if="error" :code="error" @again="load" />
  <PlayerStage
    v-else-if="session && life"
    :publication="session.publication"
    :lanes="life.lanes.map((l) => l.lane)"
    :speed="speed"
    v-bind="life.player ? { kept: life.player } : {}"
    @keep="runs.progress(life, $event)"
    @finish="onFinish"
  />
  <main v-else class="page">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
</template>
