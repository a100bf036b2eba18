<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { useRouter } from 'vue-router'
import {
  careText,
  cautionsShown,
  gatheredCautions,
  minutesText,
  type Caution,
  partTitle,
  phrasesIn,
  type Language,
} from '@esfuerzo/core'
import ChildChoice from '../shared/figure/ChildChoice.vue'
import LaneKey from '../shared/lanes/LaneKey.vue'
import { audioClock } from '../player/audioClock.ts'
import { childBook, isTarget } from './book.ts'
import FetchItem from './FetchItem.vue'
import LanguageChoice from './LanguageChoice.vue'
import LinkProblem from './LinkProblem.vue'
import WhatYouDo from './WhatYouDo.vue'
import WhoRuns from './WhoRuns.vue'
import type { Life } from './runLife.ts'
import { keptPupils, pupilId, type KeptPupil } from './pupils.ts'
import { runs } from './runs.ts'
import SentLine from './SentLine.vue'
import { useFloor } from '../shared/look/useFloor.ts'
import { useLinkedSession } from './session.ts'

const props = defineProps<{ token: string }>()
const { floor, isNight } = useFloor()
const { t, locale } = useSentences()
const router = useRouter()
const { session, error, load } = useLinkedSession(props.token)
const publication = computed(() => session.value?.publication)
const phrase = computed(() => phrasesIn(publication.value?.phrases, locale.value as Language))
const shown = computed(() => publication.value?.sections.filter((s) => !s.surprise) ?? [])
const cautions = computed(() => (publication.value ? gatheredCautions(publication.value, phrase.value) : []))
/** What a caution applies to: the first of its exercises, and how many more. */
function careFor({ moves }: Caution): string {
  if (!moves.length) return t('front.careSurprise')
  const names = moves.slice(0, 4).join(', ')
  return moves.length > 4 ? t('front.careMore', { names, n: moves.length - 4 }) : names
}
/** The lanes of the link's class come first. */
const isYours = (grades: readonly number[]) => grades.some((g) => session.value?.grades?.includes(g))
const lanes = computed(() =>
  [...(publication.value?.lanes ?? [])].sort((a, b) => Number(isYours(b.grades)) - Number(isYours(a.grades))),
)
/** What would be sent: for any lane, a pulse only if one is asked for. */
const sentLanes = computed(() => lanes.value.map((lane) => ({ lane, alias: who.value?.alias })))
const sheetOf = (kind: 'session' | 'results') => `/api/go/${props.token}/sheets/${kind}?language=${locale.value}`
/** Children of this device; who runs, and who runs beside in the second lane. */
const pupils = shallowRef<KeptPupil[]>([])
const who = shallowRef<KeptPupil>()
const beside = shallowRef<string>('')
void keptPupils().then((found) => {
  pupils.value = found
  // With one child on the device nobody has to choose.
  if (found.length === 1) who.value = found[0]
})
/** The child's target, from its own book. */
const wanted = ref('')
watch(
  who,
  async (pupil) => {
    const { target = '' } = await childBook(pupil && pupilId(pupil))
    wanted.value = isTarget(target) ? t(`book.targets.${target}`) : target
  },
  { immediate: true },
)
const others = computed(() => pupils.value.filter((p) => !who.value || pupilId(p) !== pupilId(who.value)))
/** The current run, and the finished one that was not sent. */
const underway = shallowRef<Life>()
const unsent = shallowRef<Life>()
watch(session, async (found) => {
  if (!found) return
  underway.value = await runs.underway(props.token, found.sha256)
  unsent.value = (await runs.finished(props.token))[0]
})

const childNames = computed(() => ({
  crop: t('front.children.crop'),
  tail: t('front.children.tail'),
  curls: t('front.children.curls'),
}))
const targets = ['whole', 'quiet', 'more', 'smile'] as const
const target = ref<(typeof targets)[number]>()
/** Lanes chosen to run side by side; undefined while one runs. */
const two = ref<string[]>()

async function onStart(lanes: string[], anew = true) {
  if (anew && underway.value) await runs.drop(underway.value.id)
  await audioClock.wake()
  const ran = lanes.map((_, i) => (i > 0 ? beside.value : who.value ? pupilId(who.value) : ''))
  await router.push({
    name: 'run',
    params: { token: props.token },
    query: {
      ...router.currentRoute.value.query,
      lane: lanes,
      ...(ran.some(Boolean) && { who: ran }),
      ...(target.value && { target: target.value }),
    },
  })
}
function onTick(lane: string) {
  const ticked = two.value ?? []
  two.value = ticked.includes(lane) ? ticked.filter((id) => id !== lane) : [...ticked, lane].slice(-2)
}
</script>

<template>
  <LinkProblem v-if="error" :code="error" @again="load" />
  <main v-else-if="publication" class="page">
    <p v-if="session?.kept" class="card care-box" role="status">{{ t(`front.kept.${session.kept}`) }}</p>
    <header>
      <h1>{{ publication.title }}</h1>
      <p v-if="publication.target" class="target">{{ publication.target }}</p>
      <p class="quiet">{{ shown.map((s) => partTitle(s, locale as Language)).join(' → ') }}</p>
    </header>
    <section v-if="underway" class="card" aria-labelledby="underway">
      <h2 id="underway">{{ t('front.underway') }}</h2>
      <button
        type="button"
        class="main"
        @click="
          onStart(
            underway.lanes.map((l) => l.lane),
            false,
          )
        "
      >
        {{ t('front.goOn') }}
      </button>
    </section>
    <section v-if="unsent" class="card" aria-labelledby="unsent">
      <h2 id="unsent">{{ t('front.unsent') }}</h2>
      <router-link class="button" :to="{ name: 'done', params: { token } }">{{ t('front.tell') }}</router-link>
    </section>
    <WhoRuns
      v-if="session?.codes || pupils.length"
      v-model="who"
      :token="token"
      :pupils="pupils"
      :codes="session?.codes === true && !session.kept"
      @pupils="pupils = $event"
    />
    <p v-if="wanted">{{ t('book.wanted', { target: wanted }) }}</p>
    <section aria-labelledby="lane">
      <h2 id="lane">{{ t('front.pick') }}</h2>
      <p v-if="two" class="hint">{{ t('front.twoHow') }}</p>
      <div class="lanes">
        <button
          v-for="lane in lanes"
          :key="lane.id"
          type="button"
          class="lane"
          v-bind="two ? { 'aria-pressed': two.includes(lane.id) } : {}"
          @click="two ? onTick(lane.id) : onStart([lane.id])"
        >
          <LaneKey :letter="lane.letter" />
          <span class="name"
            >{{ t('front.grades', { name: lane.name }) }}
            <b v-if="isYours(lane.grades)" class="yours">{{ t('front.yours') }}</b></span
          >
          <span class="quiet num">{{ minutesText(lane.seconds.typical) }}</span>
          <b class="go">{{ two ? (two.includes(lane.id) ? '☒' : '☐') : t('front.start') }}</b>
        </button>
      </div>
      <label v-if="two && others.length" class="beside">
        {{ t('who.beside') }}
        <select v-model="beside">
          <option value="">{{ t('who.noCode') }}</option>
          <option v-for="pupil in others" :key="pupilId(pupil)" :value="pupilId(pupil)">{{ pupil.alias }}</option>
        </select>
      </label>
      <div v-if="publication.lanes.length > 1" class="row">
        <button v-if="two" type="button" class="main" :disabled="two.length !== 2" @click="onStart(two)">
          {{ t('front.startTwo') }}
        </button>
        <button type="button" @click="two = two ? undefined : []">{{ t(two ? 'front.one' : 'front.two') }}</button>
      </div>
    </section>
    <SentLine :lanes="sentLanes" :kept-until="session?.keptUntil" :moved="publication.asksMoved" />
    <section class="card" aria-labelledby="before">
      <h2 id="before">{{ t('front.before') }}</h2>
      <ul>
        <FetchItem v-for="item in publication.kit" :key="item.id" :item="item" :phrase="phrase" />
        <li>{{ t(`front.space.${publication.home.space}`) }}</li>
        <li v-if="publication.home.quiet">{{ t('front.quiet') }}</li>
      </ul>
      <WhatYouDo :publication="publication" :phrase="phrase" class="doing" />
    </section>
    <fieldset>
      <legend>
        <h2>{{ t('front.target') }}</h2>
      </legend>
      <div class="row">
        <button
          v-for="code in targets"
          :key="code"
          type="button"
          :aria-pressed="target === code"
          @click="target = target === code ? undefined : code"
        >
          {{ t(`front.targets.${code}`) }}
        </button>
      </div>
    </fieldset>
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
        <li v-for="code in publication.care" :key="code">{{ careText(code, locale as Language) }}</li>
      </ul>
      <ul v-if="cautions.length" class="for">
        <li v-for="caution in cautions.slice(0, cautionsShown)" :key="caution.text">
          {{ caution.text }} <span class="quiet">({{ careFor(caution) }})</span>
        </li>
      </ul>
      <details v-if="cautions.length > cautionsShown">
        <summary>{{ t('front.careRest', { n: cautions.length - cautionsShown }) }}</summary>
        <ul class="for">
          <li v-for="caution in cautions.slice(cautionsShown)" :key="caution.text">
            {{ caution.text }} <span class="quiet">({{ careFor(caution) }})</span>
          </li>
        </ul>
      </details>
      <p v-if="publication.schoolNote" class="note">{{ publication.schoolNote }}</p>
    </section>
    <p v-if="!session?.kept" class="row middle">
      <a
        v-for="kind in ['session', 'results'] as const"
        :key="kind"
        class="button"
        :href="sheetOf(kind)"
        target="_blank"
        >{{ t(`front.print.${kind}`) }}</a
      >
    </p>
    <router-link class="button" :to="{ name: 'book', query: who ? { who: pupilId(who) } : {} }">{{
      t('book.open')
    }}</router-link>
    <ChildChoice class="middle" :label="t('front.child')" :names="childNames" />
    <div class="row middle">
      <LanguageChoice />
      <button type="button" @click="floor = isNight ? 'day' : 'night'">
        {{ t(isNight ? 'front.toDay' : 'front.toNight') }}
      </button>
    </div>
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
.yours {
  color: var(--action);
}
.go {
  color: var(--action);
}
.page .hint {
  margin-bottom: 10px;
}
.beside {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-top: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 10px;
}
.middle {
  justify-content: center;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
fieldset .row {
  margin: 0;
}
legend {
  padding: 0;
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
.doing {
  margin-top: 14px;
}
.for,
details {
  margin-top: 10px;
}
summary {
  cursor: pointer;
}
.care-box {
  border-left: 4px solid var(--care);
}
.page p.care-box {
  padding: 12px 18px;
}
.page .note {
  margin-top: 12px;
  white-space: pre-line;
}
</style>
