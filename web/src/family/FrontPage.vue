<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { minutesText } from '@esfuerzo/core'
import LaneKey from '../shared/lanes/LaneKey.vue'
import { bell } from '../player/bell.ts'
import LinkProblem from './LinkProblem.vue'
import { dropRecord } from './runRecord.ts'
import { useFloor } from '../shared/look/useFloor.ts'
import { useLinkedSession } from './session.ts'

const props = defineProps<{ token: string }>()
const { floor, isNight } = useFloor()
const { t } = useI18n()
const router = useRouter()
const { session, error, load } = useLinkedSession(props.token)
const publication = computed(() => session.value?.publication)
const shown = computed(() => publication.value?.sections.filter((s) => !s.surprise) ?? [])
const cautions = computed(() => [...new Set(publication.value?.moves.flatMap((m) => m.cautions))])

async function onStart(lane: string) {
  dropRecord(props.token)
  await bell.wake()
  await router.push({
    name: 'run',
    params: { token: props.token },
    query: { ...router.currentRoute.value.query, lane },
  })
}
</script>

<template>
  <LinkProblem v-if="error" :code="error" @again="load" />
  <main v-else-if="publication" class="page">
    <header>
      <h1>{{ publication.title }}</h1>
      <p v-if="publication.target" class="target">{{ publication.target }}</p>
      <p class="quiet">{{ shown.map((s) => s.title).join(' → ') }}</p>
    </header>
    <section aria-labelledby="lane">
      <h2 id="lane">{{ t('front.pick') }}</h2>
      <div class="lanes">
        <button v-for="lane in publication.lanes" :key="lane.id" type="button" class="lane" @click="onStart(lane.id)">
          <LaneKey :letter="lane.letter" />
          <span class="name">{{ t('front.grades', { name: lane.name }) }}</span>
          <span class="quiet num">{{ minutesText(lane.seconds.typical) }}</span>
          <b class="go">{{ t('front.start') }}</b>
        </button>
      </div>
    </section>
    <section class="card" aria-labelledby="before">
      <h2 id="before">{{ t('front.before') }}</h2>
      <ul>
        <li>{{ t(`front.space.${publication.home.space}`) }}</li>
        <li v-if="publication.home.quiet">{{ t('front.quiet') }}</li>
        <li v-for="item in publication.kit" :key="item.id">
          {{ t(item.optional ? 'front.nice' : 'front.kit', { name: item.standIn ?? item.name }) }}
          <span v-if="item.standIn" class="quiet">{{ t('front.inPlace', { name: item.name }) }}</span>
          <span v-else-if="item.standIns.length" class="quiet">{{
            t('front.orElse', { list: item.standIns.join(', ') })
          }}</span>
          <span v-if="item.ask" class="ask">{{ item.ask }}</span>
        </li>
      </ul>
    </section>
    <section v-if="publication.words.length" class="card" aria-labelledby="words">
      <h2 id="words">{{ t('front.words') }}</h2>
      <dl>
        <template v-for="w in publication.words" :key="w.word"
          ><dt>{{ w.word }}</dt>
          <dd>{{ w.meaning }}</dd></template
        >
      </dl>
    </section>
    <section class="card care-box" aria-labelledby="care">
      <h2 id="care">{{ t('front.care') }}</h2>
      <ul>
        <li v-for="code in publication.care" :key="code">{{ t(`care.${code}`) }}</li>
        <li v-for="caution in cautions" :key="caution">{{ caution }}</li>
      </ul>
      <p v-if="publication.schoolNote" class="note">{{ publication.schoolNote }}</p>
    </section>
    <button type="button" class="floor" @click="floor = isNight ? 'day' : 'night'">
      {{ t(isNight ? 'front.toDay' : 'front.toNight') }}
    </button>
  </main>
  <main v-else class="page">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
</template>

<style scoped>
.target {
  font-size: 20px;
}
header {
  display: grid;
  gap: 8px;
}
.lanes {
  display: grid;
  gap: 10px;
}
.lane {
  display: grid;
  grid-template-columns: auto 1fr auto auto;
  gap: 14px;
  min-height: 68px;
  text-align: left;
}
.go {
  color: var(--action);
}
ul {
  margin: 0;
  padding-left: 22px;
  display: grid;
  gap: 6px;
}
dl {
  margin: 0;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0 0 6px;
}
.care-box {
  border-left: 4px solid var(--care);
}
.page .note {
  margin-top: 12px;
  white-space: pre-line;
}
.floor {
  justify-self: center;
}
.ask {
  display: block;
  font-weight: 700;
}
</style>
