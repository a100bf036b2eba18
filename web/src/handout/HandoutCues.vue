<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { languages, type Language, type Session } from '@esfuerzo/core'
import { fileTitle, subRip, webVtt } from '@esfuerzo/core/cues'
import { saveContent } from '../shared/saveFile.ts'
import { library } from '../repertoire/library.ts'
import { coreDoor } from '../workers/coreDoor.ts'
import { laneCaptions } from './laneCaptions.ts'
import ChoiceField from '../shared/fields/ChoiceField.vue'

/** For recording a video: captions, bells, the words to read out. */
const props = defineProps<{ id: string; session: Session }>()
const { t } = useI18n()
const group = ref(props.session.groups[0]!.id)
const language = ref<Language>('en')
const share = ref<number>()

async function lines() {
  // The library's Spanish is large, and only needed here.
  const { libraryWords } = await import('@esfuerzo/library/words')
  return laneCaptions(props.session, group.value, library, language.value, libraryWords)
}
const nameOf = (end: string) => {
  const { letter } = props.session.groups.find((g) => g.id === group.value)!
  return `${fileTitle(props.session.title)}-${letter.toLowerCase()}.${end}`
}
const onVtt = async () => saveContent(nameOf('vtt'), webVtt(await lines(), props.session.title), 'text/vtt')
const onSrt = async () => saveContent(nameOf('srt'), subRip(await lines()), 'application/x-subrip')
async function onWav() {
  share.value = 0
  try {
    const bytes = await coreDoor.run(
      'clickTrack',
      props.session,
      { group: group.value },
      {
        onProgress: (done) => (share.value = done),
      },
    )
    saveContent(nameOf('wav'), bytes, 'audio/wav')
  } finally {
    share.value = undefined
  }
}
</script>

<template>
  <section class="card" aria-labelledby="hand-cues">
    <h2 id="hand-cues">{{ t('handout.cues') }}</h2>
    <p>{{ t('handout.cuesLead') }}</p>
    <div class="pair">
      <v-select
        v-model="group"
        :items="session.groups.map((g) => ({ value: g.id, title: `${g.letter} · ${g.name}` }))"
        :label="t('handout.lane')"
      />
      <ChoiceField
        v-model="language"
        :options="languages"
        named="handout.language"
        :label="t('handout.languageLabel')"
      />
    </div>
    <div class="row">
      <router-link class="button" :to="{ name: 'prompt', params: { id }, query: { lane: group, language } }">{{
        t('handout.prompt')
      }}</router-link>
      <v-btn @click="onVtt">{{ t('handout.vtt') }}</v-btn>
      <v-btn @click="onSrt">{{ t('handout.srt') }}</v-btn>
      <v-btn :disabled="share !== undefined" @click="onWav">{{ t('handout.wav') }}</v-btn>
    </div>
    <v-progress-linear v-if="share !== undefined" :model-value="share * 100" :aria-label="t('handout.making')" />
  </section>
</template>

<style scoped>
.pair {
  margin-bottom: 10px;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.button {
  display: inline-flex;
  align-items: center;
  min-height: 40px;
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  color: var(--action);
  font-weight: 700;
  text-decoration: none;
}
</style>
