<script setup lang="ts">
import { useEventListener, useRafFn } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import {
  languageOf,
  minutesText,
  sayText,
  moveNames,
  phrasesIn,
  timeline,
  type Step,
  type Session,
} from '@esfuerzo/core'
import { endOf } from '@esfuerzo/core/cues'
import { audioClock } from '../player/audioClock.ts'
import { client } from '../shared/client.ts'
import { library } from '../repertoire/library.ts'
import { useCalls } from './useCalls.ts'

/** The words of a lane, large and scrolling in time, for a teacher who films. */
const props = defineProps<{ id: string }>()
const { t } = useI18n()
const route = useRoute()
const { problem, guarded } = useCalls('handout.nothing')
const session = shallowRef<Session>()
const lines = shallowRef<{ step: Step; text: string }[]>([])
const group = computed(() => session.value?.groups.find((g) => g.id === route.query.lane) ?? session.value?.groups[0])

void guarded(async () => {
  const { document } = await client('readSession', { params: { id: props.id } })
  const { libraryWords } = await import('@esfuerzo/library/words')
  session.value = document
  const language = languageOf([String(route.query.language ?? 'en')])
  const names = moveNames(library.moves, phrasesIn(libraryWords, language))
  lines.value = timeline(document, group.value!.id, library).map((step) => ({
    step,
    text: sayText(step.say, names, language),
  }))
})

/** Seconds of the session; they stop while it is not running. */
const now = ref(0)
const running = ref(false)
let origin = 0
async function onToggle() {
  await audioClock.wake()
  running.value = !running.value
  origin = audioClock.now() - now.value
}
useRafFn(() => {
  if (!running.value) return
  now.value = audioClock.now() - origin
  if (now.value >= total.value) running.value = false
})
function jump(by: number) {
  const index = Math.min(lines.value.length - 1, Math.max(0, at.value + by))
  now.value = lines.value[index]?.step.at ?? 0
  origin = audioClock.now() - now.value
}
const total = computed(() => endOf(lines.value.map((l) => l.step)))
const at = computed(() =>
  Math.max(
    0,
    lines.value.findLastIndex(({ step }) => step.at <= now.value),
  ),
)
const left = computed(() => {
  const step = lines.value[at.value]?.step
  return step ? Math.max(0, Math.ceil(step.at + step.seconds.typical - now.value)) : 0
})
const list = useTemplateRef('list')
watch(at, async (index) => {
  await nextTick()
  list.value?.children[index]?.scrollIntoView({ block: 'center', behavior: 'smooth' })
})
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  const keys: Record<string, () => void> = {
    ' ': () => void onToggle(),
    ArrowDown: () => jump(1),
    ArrowUp: () => jump(-1),
  }
  if (event.target instanceof HTMLButtonElement || !keys[event.key]) return
  event.preventDefault()
  keys[event.key]!()
})
</script>

<template>
  <main class="prompt">
    <h1 class="out-of-sight">{{ t('handout.promptOf', { title: session?.title ?? '…' }) }}</h1>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <ol ref="list" tabindex="0" :aria-label="t('handout.prompt')">
      <li
        v-for="({ step, text }, i) in lines"
        :key="i"
        :class="{ on: i === at, over: i < at, work: step.kind === 'work' }"
        :aria-current="i === at ? 'step' : undefined"
      >
        <span class="num time">{{ minutesText(step.at) }}</span>
        <span>{{ text }}</span>
      </li>
    </ol>
    <div class="bar">
      <v-btn class="main" @click="onToggle">{{ t(running ? 'handout.promptStop' : 'handout.promptGo') }}</v-btn>
      <v-btn @click="jump(-1)">{{ t('handout.promptBack') }}</v-btn>
      <v-btn @click="jump(1)">{{ t('handout.promptOn') }}</v-btn>
      <b class="num left">{{ left }}</b>
      <span class="num">{{ minutesText(now) }} / {{ minutesText(total) }}</span>
      <router-link :to="{ name: 'handout', params: { id } }">{{ t('handout.promptEnd') }}</router-link>
    </div>
  </main>
</template>

<style scoped>
.prompt {
  height: 100dvh;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  background: var(--card);
}
ol {
  padding: 45vh 6vw;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 20px;
  padding: 12px 0;
  font-size: clamp(24px, 4.4vw, 52px);
  line-height: 1.15;
  color: var(--quiet);
}
li.on {
  color: var(--ink);
  font-weight: 700;
}
.time {
  font-size: 22px;
  align-self: center;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding: 12px 20px;
  border-top: 1px solid var(--line);
}
.left {
  font: 700 40px/1 var(--display);
  min-width: 64px;
}
a {
  margin-left: auto;
  color: var(--action);
  font-weight: 700;
}
</style>
