<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { ProblemError } from '@esfuerzo/core'
import { publish, publicationSchema } from '@esfuerzo/core/publication'
import PlayerStage from '../player/PlayerStage.vue'
import { useSettings } from '../settings/store.ts'
import { sendingProblemText } from '../documents/sendingProblemText.ts'
import { library } from '../repertoire/library.ts'
import { useSession } from './session/useSession.ts'

/** Preview: the session as a child runs it, before anybody gets it. Nothing is recorded. */
const props = defineProps<{ id: string }>()
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const session = useSession()
const settings = useSettings()
void session.open(props.id)

const result = computed(() => {
  if (session.loading || session.id !== props.id) return undefined
  try {
    // Read as a family's device reads it, so the preview equals what is sent.
    const publication = publicationSchema.parse(
      JSON.parse(JSON.stringify(publish(session.document, library, settings.settings?.familyNote))),
    )
    const known = publication.lanes.map((l) => l.id)
    const wanted = [route.query.lane].flat().filter((id) => id !== null && known.includes(id!)) as string[]
    return { publication, lanes: wanted.length ? wanted.slice(0, 2) : known.slice(0, 1) }
  } catch (error) {
    if (error instanceof ProblemError) return { problem: error.problems.map((p) => sendingProblemText(p, t)) }
    throw error
  }
})
const from = computed(() => Math.max(0, Number(route.query.from) || 0))
const speed = computed(() => Math.min(600, Math.max(1, Number(route.query.speed) || 1)))
const back = () => router.push({ name: 'compose', params: { id: props.id } })
</script>

<template>
  <PlayerStage
    v-if="result && 'lanes' in result"
    :publication="result.publication!"
    :lanes="result.lanes!"
    :speed="speed"
    :from="from"
    @finish="back"
  />
  <main v-else class="try">
    <template v-if="session.loadError || result?.problem">
      <h1>{{ t('compose.cannotTry') }}</h1>
      <p v-if="session.loadError">{{ t(`errors.${session.loadError}`) }}</p>
      <p v-for="line in result?.problem" v-else :key="line">{{ line }}</p>
      <v-btn class="main" @click="back">{{ t('handout.back') }}</v-btn>
    </template>
    <p v-else class="quiet">{{ t('loading') }}</p>
  </main>
</template>

<style scoped>
.try {
  padding: 48px;
}
</style>
