<script setup lang="ts">
import { useEventListener, useRafFn, useWakeLock } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { minutesText } from '@esfuerzo/core'
import { type Publication } from '@esfuerzo/core/publication'
import { courseOf, type CountedStep } from '@esfuerzo/core/run'
import { audioClock } from './audioClock.ts'
import LaneStage from './LaneStage.vue'
import './player.css'
import { speech } from './speech.ts'
import { useLaneShown } from './useLaneShown.ts'
import { usePlayer, type Finding, type KeptRun } from './usePlayer.ts'
import { useWords } from './useWords.ts'

/** The result of a lane's run. */
export interface LaneResult {
  lane: string
  done: number
  skipped: number
  easier: number
  found: readonly Finding[]
  /** How long counted steps took; the first release stored none. */
  counted?: readonly CountedStep[]
}

const props = withDefaults(
  defineProps<{
    publication: Publication
    /** Ids of the lanes that are run: one, or two side by side. */
    lanes: readonly string[]
    speed: number
    /** Seconds from the start of the session at which the run begins. */
    from?: number
    /** A run to continue. */
    kept?: KeptRun
  }>(),
  { from: 0, kept: undefined },
)
const emit = defineEmits<{
  /** The run is over: completed, or stopped early. */
  finish: [results: LaneResult[], ended: 'whole' | 'early']
  /** What to continue with, if the page is reloaded. */
  keep: [run: KeptRun]
}>()
const { t } = useSentences()
const { publication } = props
const words = useWords(publication)
const course = courseOf(publication, props.lanes)
const spoken = ref('')
const player = usePlayer(course, {
  clock: audioClock,
  speed: props.speed,
  from: props.from,
  kept: props.kept,
  spoken: () => speech.speaks() || !audioClock.asleep(),
  onStart: ({ lane, index }) => announce(lane, index),
})
const views = course.lanes.map((track, i) => useLaneShown(publication, track, player.lanes[i]!, words))

/** One voice for all lanes: what two start together is said once, with the lane's letter if they differ. */
function announce(lane: number, index: number) {
  const text = views[lane]!.spoken(index)
  if (!text) return
  const letter = course.lanes.length > 1 ? `${course.lanes[lane]!.lane.letter}: ` : ''
  spoken.value = `${letter}${text}`
  speech.say(spoken.value, words.language.value)
}
if (!props.kept) course.lanes.forEach((_, lane) => announce(lane, player.lanes[lane]!.state.value.index))

const keep = () => emit('keep', player.keep())
useRafFn(player.look)
// A page that draws no frames still reads the clock; its state is stored each time.
const timer = setInterval(() => {
  player.look()
  // The device suspends its sound, and with it the clock, until somebody taps.
  if (audioClock.asleep() && !player.paused.value) player.togglePause()
  keep()
}, 500)
const wakeLock = useWakeLock()
const stayAwake = () => void wakeLock.request('screen').catch(() => undefined)
stayAwake()
onBeforeUnmount(() => {
  clearInterval(timer)
  player.stop()
  speech.hush()
  void wakeLock.release()
})

const { paused } = player
async function onGoOn() {
  await audioClock.wake()
  stayAwake()
  player.togglePause()
}
// A locked screen, or another page in front: the run pauses.
useEventListener(document, 'visibilitychange', () => {
  if (document.visibilityState === 'hidden') {
    player.unseen()
    if (!paused.value) player.togglePause()
  }
  keep()
})
watch(paused, (on) => on && speech.hush())

function finish(ended: 'whole' | 'early') {
  emit(
    'finish',
    course.lanes.map(({ lane }, i) => ({
      lane: lane.id,
      ...player.lanes[i]!.result.value,
      found: player.found.value[i]!,
      counted: player.counted.value[i]!,
    })),
    ended,
  )
}
watch(player.finished, (over) => over && finish('whole'), { immediate: true })

const each = (act: 'back' | 'skip' | 'done') => () => player.lanes.forEach((lane) => lane[act]())
const isWork = computed(() => views.some((v) => v.isWork.value))
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  const keys: Record<string, () => void> = {
    ' ': onGoOn,
    ArrowLeft: each('back'),
    ArrowRight: each('skip'),
    Enter: each('done'),
  }
  const { target } = event
  if (target instanceof HTMLButtonElement || target instanceof HTMLInputElement || !keys[event.key]) return
  event.preventDefault()
  keys[event.key]!()
})
</script>

<template>
  <main class="player" :class="{ work: isWork, paused, two: course.lanes.length > 1 }">
    <h1 class="out-of-sight">{{ publication.title }}</h1>
    <p class="out-of-sight" aria-live="assertive">{{ spoken }}</p>
    <div class="stages">
      <LaneStage
        v-for="(track, i) in course.lanes"
        :key="track.lane.id"
        :publication="publication"
        :track="track"
        :player="player.lanes[i]!"
        :words="words"
        :paused="paused"
        :speed="speed"
        :beside="course.lanes.length > 1"
        @note="player.note(i, $event)"
      />
    </div>
    <div class="bar">
      <button type="button" class="main" @click="onGoOn">
        {{ paused ? t('player.goOn') : t('player.pause') }}
      </button>
      <button type="button" @click="each('back')()">{{ t('player.back') }}</button>
      <button v-if="course.lanes.length === 1" type="button" @click="each('skip')()">{{ t('player.skip') }}</button>
      <div
        class="progress"
        role="progressbar"
        :aria-label="t('player.progress')"
        aria-valuemin="0"
        aria-valuemax="100"
        :aria-valuenow="Math.round(player.share.value * 100)"
      >
        <i :style="{ width: `${player.share.value * 100}%` }" />
      </div>
      <span class="num to-go">{{ t('player.toGo', { time: minutesText(player.toGo.value) }) }}</span>
      <button type="button" @click="finish('early')">{{ t('player.stop') }}</button>
    </div>
  </main>
</template>

<style scoped>
.player {
  font-size: 18px;
  height: 100dvh;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  padding: 10px 10px 0;
}
.stages {
  display: grid;
  gap: 10px;
  min-height: 0;
  grid-auto-rows: minmax(0, 1fr);
}
.two .stages {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
.bar {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 10px 0;
}
.progress {
  flex: 1;
  height: 12px;
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  min-width: 60px;
}
.progress i {
  display: block;
  height: 100%;
  background: var(--ink);
}
.to-go {
  white-space: nowrap;
}
@media (max-width: 700px) {
  .two .stages {
    grid-template-columns: minmax(0, 1fr);
  }
  .bar {
    flex-wrap: wrap;
  }
  .bar button {
    flex: 1;
    padding: 0 8px;
  }
  .progress {
    order: -2;
    flex-basis: 60%;
  }
  .to-go {
    order: -1;
  }
}
</style>
