<script setup lang="ts">
import { useEventListener, useRafFn, useWakeLock } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  minutesText,
  moveNames,
  sayEnglish,
  sayName,
  type Figure,
  type Lane,
  type Publication,
  type Say,
} from '@esfuerzo/core'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { bell } from './bell.ts'
import RunTrack from './RunTrack.vue'
import { usePlayer, type LaneStep } from './usePlayer.ts'

const props = withDefaults(
  defineProps<{
    publication: Publication
    lane: Lane
    speed: number
    /** Seconds from the start of the lane at which the run begins. */
    from?: number
  }>(),
  { from: 0 },
)
/** The run is over, by its end or by "stop". */
const emit = defineEmits<{ finish: [result: { done: number; skipped: number }] }>()
const { t } = useI18n()
const { publication } = props
const { steps } = props.lane

const began = performance.now()
const clock = () => ((performance.now() - began) / 1000) * props.speed
const player = usePlayer(steps, clock, bell, props.speed, props.from)
useRafFn(player.look)
// A page in the background draws no frames; the clock is looked at all the same.
const timer = setInterval(player.look, 500)
const wakeLock = useWakeLock()
void wakeLock.request('screen').catch(() => undefined)
onBeforeUnmount(() => {
  clearInterval(timer)
  player.stop()
  void wakeLock.release()
})

const moves = new Map(publication.moves.map((m) => [m.id, m]))
const figures = new Map(publication.figures.map((f) => [f.id, f as Figure]))
const names = moveNames(moves)
const { step, next, view, paused } = player

const isWork = computed(() => step.value?.kind === 'work')
/** What is drawn: the move that is on, or the one that comes. */
const shown = computed(() =>
  step.value?.kind === 'talk' ? undefined : step.value?.move ? step.value : hidden(next.value) ? undefined : next.value,
)
const versionOf = (s: LaneStep | undefined) => moves.get(s?.move ?? '')?.versions.find((v) => v.id === s?.version)
const figureOf = (s: LaneStep | undefined) => figures.get(versionOf(s)?.figure ?? '')
const figure = computed(() => figureOf(shown.value))
const cycle = computed(
  () => ((versionOf(shown.value)?.secondsPerRep ?? 2) * (figure.value?.reps ?? 1) * props.lane.pace) / props.speed,
)
const nameOf = (s: LaneStep | undefined) => (s ? sayName(s.say as Say, names) : '')

/** A surprise is not told before it starts. */
function hidden(s: LaneStep | undefined): boolean {
  if (!s || s.section === step.value?.section) return false
  return publication.sections.find((x) => x.id === s.section)?.surprise === true
}

/** Whether a step is about a move, and not a thing of its form's own. */
const saysMove = (s: LaneStep) =>
  ['work', 'workSide', 'rest', 'restNext', 'changeTo', 'switchSide'].includes(s.say.code)
const heading = computed(() => {
  const s = step.value
  if (!s) return ''
  // What only a form says: a sum, a flip, a question, a game.
  if (!saysMove(s)) return sayEnglish(s.say as Say, names) || t('player.talk')
  if (s.kind === 'rest')
    return next.value ? (hidden(next.value) ? t('player.surprise') : nameOf(next.value)) : t('player.lastRest')
  return nameOf(s)
})
const prompt = computed(() => {
  const s = step.value
  if (s?.kind === 'rest') return next.value ? t('player.restNext') : t('player.rest')
  if (s?.kind === 'change') return t('player.change')
  if (s?.kind === 'switch') return t('player.switch')
  if (s?.side) return t(`player.side.${s.side}`)
  const others = (s?.say.params.oneOf as string[] | undefined) ?? []
  if (others.length) return t('player.or', { names: others.map((id) => names(id, undefined)).join(', ') })
  return ''
})
/** One cue at a time, a new one every six seconds; the teacher's focus first. */
const cue = computed(() => {
  const own = step.value && !saysMove(step.value) ? (step.value.say.params.text as string | undefined) : undefined
  if (step.value && !saysMove(step.value) && own) return own
  if (step.value?.kind === 'talk') return publication.target
  const s = shown.value
  if (!s) return ''
  const station = publication.sections
    .flatMap((x) => x.blocks)
    .flatMap((b) => b.stations)
    .find((x) => x.id === s.station)
  const how = versionOf(s)?.how
  const cues = [
    ...(station?.focus ? [station.focus] : []),
    ...(how ? [how] : []),
    ...(moves.get(s.move ?? '')?.cues ?? []),
  ]
  return cues.length ? cues[Math.floor(player.elapsed.value / 6) % cues.length]! : ''
})
const where = computed(() => {
  const s = step.value
  if (!s) return ''
  const section = publication.sections.find((x) => x.id === s.section)
  const block = section?.blocks.find((b) => b.id === s.block)
  const laps = Math.max(0, ...steps.filter((x) => x.block === s.block).map((x) => x.lap ?? 0))
  const at = block?.stations.findIndex((x) => x.id === (s.station ?? next.value?.station)) ?? -1
  return [
    section?.title,
    ...(laps > 1 && s.lap ? [t('player.lap', { n: s.lap, of: laps })] : []),
    ...(block && block.stations.length > 1 && at >= 0
      ? [t('player.station', { n: at + 1, of: block.stations.length })]
      : []),
  ].join(' · ')
})
/** Counted work shows the rep; everything else the seconds that are left. */
const digits = computed(() =>
  view.value.rep !== undefined
    ? view.value.rep
    : view.value.secondsLeft > 99
      ? minutesText(view.value.secondsLeft)
      : view.value.secondsLeft,
)
const lastThree = computed(() => step.value?.by === 'clock' && view.value.secondsLeft <= 3)
const following = computed(() => {
  if (step.value?.kind === 'rest' || !next.value) return undefined
  const rest = steps[steps.indexOf(step.value!) + 1]
  return {
    name: hidden(next.value) ? t('player.surprise') : nameOf(next.value),
    figure: hidden(next.value) ? undefined : figureOf(next.value),
    rest: rest?.kind === 'rest' ? rest.seconds.typical : 0,
  }
})
const spoken = ref('')
watch(
  step,
  (s) => (spoken.value = s && !(s.kind === 'rest' && hidden(next.value)) ? sayEnglish(s.say as Say, names) : ''),
  { immediate: true },
)

function finish() {
  emit('finish', player.result.value)
}
watch(player.finished, (over) => over && finish(), { immediate: true })

useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  const keys: Record<string, () => void> = {
    ' ': player.togglePause,
    ArrowLeft: player.back,
    ArrowRight: player.skip,
    Enter: player.done,
  }
  if (event.target instanceof HTMLButtonElement || !keys[event.key]) return
  event.preventDefault()
  keys[event.key]!()
})
</script>

<template>
  <main class="player" :class="{ work: isWork, paused }">
    <h1 class="out-of-sight">{{ publication.title }}</h1>
    <p class="out-of-sight" aria-live="assertive">{{ spoken }}</p>
    <div class="stage">
      <RunTrack :letter="lane.letter" :share="view.share" :work="isWork" />
      <div class="inside">
        <p class="where quiet">
          <b>{{ lane.letter }}</b> · {{ where }}
        </p>
        <p class="prompt">{{ paused ? t('player.paused') : prompt }}</p>
        <div class="picture">
          <MoveFigure
            v-if="figure"
            :figure="figure"
            :size="1000"
            :cycle="cycle"
            :paused="paused || step?.kind === 'rest'"
          />
        </div>
        <p class="digits num" :class="{ soft: !isWork, last: lastThree }" data-testid="digits">{{ digits }}</p>
        <h2>{{ heading }}</h2>
        <p class="cue">{{ cue }}</p>
        <button v-if="view.awaitsDone" type="button" class="main done" @click="player.done">
          {{ t('player.done') }}
        </button>
        <p v-else-if="following" class="next quiet">
          <template v-if="following.rest">{{ t('player.thenRest', { n: following.rest }) }}</template>
          <MoveFigure v-if="following.figure" :figure="following.figure" :size="44" />
          <span>{{ t('player.then', { name: following.name }) }}</span>
        </p>
      </div>
    </div>
    <div class="bar">
      <button type="button" class="main" @click="player.togglePause">
        {{ paused ? t('player.goOn') : t('player.pause') }}
      </button>
      <button type="button" @click="player.back">{{ t('player.back') }}</button>
      <button type="button" @click="player.skip">{{ t('player.skip') }}</button>
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
      <button type="button" @click="finish">{{ t('player.stop') }}</button>
    </div>
  </main>
</template>

<style scoped>
button {
  min-height: 56px;
  padding: 0 22px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--ink);
  font: 18px/1.2 var(--text);
  cursor: pointer;
}
button.main {
  background: var(--action);
  border-color: var(--action);
  color: var(--on-action);
}
.player {
  font-size: 18px;
  height: 100dvh;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  padding: 10px 10px 0;
}
.stage {
  position: relative;
  background: var(--card);
  border-radius: var(--corner);
  min-height: 0;
}
.inside {
  position: absolute;
  inset: clamp(40px, 7%, 64px) clamp(40px, 8%, 90px);
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: space-between;
  text-align: center;
}
.inside > * {
  margin: 0;
}
.prompt {
  min-height: 1.3em;
  font-size: clamp(19px, 3.2vh, 28px);
}
.picture {
  position: relative;
  flex: 1;
  min-height: 0;
  width: 100%;
}
.picture :deep(svg) {
  position: absolute;
  inset: 0;
  height: 100%;
  width: 100%;
}
.digits {
  font: 700 clamp(120px, min(29vh, 46vw), 320px) / 0.86 var(--display);
}
.digits.soft {
  color: var(--quiet);
}
.digits.last {
  color: var(--action);
}
h2 {
  font-size: clamp(26px, 5vh, 42px);
}
.cue {
  white-space: pre-line;
  font-size: clamp(18px, 2.9vh, 26px);
  min-height: 1.4em;
}
.next {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 56px;
  flex-wrap: wrap;
  justify-content: center;
}
.done {
  min-width: 200px;
  margin-top: 8px;
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
  .where,
  .next {
    font-size: 16px;
  }
  .inside {
    inset: 44px 40px 40px;
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
