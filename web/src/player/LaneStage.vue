<script setup lang="ts">
import { computed } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { type Publication } from '@esfuerzo/core/publication'
import { type Course } from '@esfuerzo/core/run'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { playOfStep } from '../forms/plays.ts'
import PickMove from './PickMove.vue'
import RunTrack from './RunTrack.vue'
import { useLaneShown } from './useLaneShown.ts'
import type { Finding, LanePlayer } from './usePlayer.ts'
import type { PlayerWords } from './useWords.ts'

/** One lane of a run: its track, the figure, the count, one cue, what comes next. */
const props = defineProps<{
  publication: Publication
  track: Course['lanes'][number]
  player: LanePlayer
  words: PlayerWords
  paused: boolean
  speed: number
  /** Next to another lane: its own skip button, and less space around it. */
  beside: boolean
}>()
const emit = defineEmits<{ note: [finding: Finding] }>()
const { t } = useSentences()
const { step, view, waiting } = props.player
const shown = useLaneShown(props.publication, props.track, props.player, props.words)
const { doing, figure, heading, following } = shown
const { lane } = props.track

const cycle = computed(() => shown.cycle.value / props.speed)
const still = computed(() => props.paused || waiting.value || step.value?.kind === 'rest')
/** The form's own screen, if a child plays it. */
const play = computed(() => (step.value && !waiting.value ? lane.plays[step.value.block] : undefined))
const screen = computed(() => step.value && playOfStep(step.value, play.value))
const picks = computed(() =>
  step.value?.say.code === 'intervals.pick' && play.value && 'pick' in play.value ? play.value : undefined,
)
const canEase = computed(() => step.value?.kind === 'work' && !waiting.value && !screen.value?.whole)
const ended = computed(() => !step.value)
</script>

<template>
  <section class="stage" :class="{ beside, played: screen?.whole }" :aria-label="t('player.lane', { name: lane.name })">
    <RunTrack :letter="lane.letter" :share="ended ? 1 : view.share" :work="shown.isWork.value || ended" />
    <div class="inside">
      <p class="where quiet">
        <b>{{ lane.letter }}</b> <template v-if="beside">{{ lane.name }}</template> · {{ shown.where.value }}
      </p>
      <p class="prompt">{{ paused ? t('player.paused') : shown.prompt.value }}</p>
      <component
        :is="screen.component"
        v-if="screen?.whole && step"
        :key="`${step.block}-${player.state.value.index}`"
        :play="play"
        :step="step"
        :digits="shown.digits.value"
        :heading="heading"
        :publication="publication"
        :words="words"
        :cycle="cycle"
        :paused="paused"
        :pace="lane.pace"
        @note="emit('note', $event)"
        @done="player.skip"
        @finish="step.by === 'count' ? player.done() : player.skip()"
      />
      <template v-else>
        <div class="middle">
          <PickMove
            v-if="picks && step && !player.state.value.picked[player.state.value.index]"
            :turns="picks.turns"
            :taken="Object.values(player.state.value.picked)"
            :words="words"
            @pick="player.pick(player.state.value.index, $event)"
          />
          <div v-else class="picture">
            <!-- Each step starts at its beginning: a rest shows the start of what comes next. -->
            <MoveFigure
              v-if="figure"
              :key="player.state.value.index"
              :figure="figure"
              :size="1000"
              both
              :cycle="cycle"
              :paused="still"
            />
            <component
              :is="screen.component"
              v-if="screen && step"
              :play="play"
              :step="step"
              @note="emit('note', $event)"
            />
          </div>
          <p
            v-if="!ended && !waiting"
            class="digits num"
            :class="{ soft: !shown.isWork.value, last: shown.lastThree.value }"
            data-testid="digits"
          >
            {{ shown.digits.value }}
          </p>
        </div>
        <h2>{{ heading }}</h2>
        <p class="cue">{{ shown.cue.value }}</p>
        <div v-if="shown.choices.value.length" class="choices" role="group" :aria-label="t('player.choose')">
          <button
            v-for="choice in shown.choices.value"
            :key="choice.move"
            type="button"
            :aria-pressed="choice.on"
            @click="player.choose(choice.move)"
          >
            {{ choice.name }}
          </button>
        </div>
        <p v-else-if="following && !beside" class="next quiet">
          <template v-if="following.rest">{{ t('player.thenRest', { n: following.rest }) }}</template>
          <MoveFigure v-if="following.figure" :figure="following.figure" :size="44" />
          <span>{{ t('player.then', { name: following.name }) }}</span>
        </p>
        <div class="acts">
          <button v-if="view.awaitsDone && !waiting" type="button" class="main" @click="player.done">
            {{ t('player.done') }}
          </button>
          <button v-if="canEase && !doing?.easiest" type="button" @click="player.easier">
            {{ t('player.easier') }}
          </button>
          <span v-else-if="canEase && doing?.changed" class="quiet">{{ t('player.easiest') }}</span>
          <button v-if="step && !view.awaitsDone && !waiting" type="button" class="slim" @click="player.more(10)">
            {{ t('player.more') }}
          </button>
          <button v-if="beside && step && !waiting" type="button" class="slim" @click="player.skip">
            {{ t('player.skip') }}
          </button>
        </div>
      </template>
    </div>
  </section>
</template>

<style scoped>
.stage {
  position: relative;
  background: var(--card);
  border-radius: var(--corner);
  min-height: 0;
  min-width: 0;
  overflow: hidden;
  container-type: size;
}
.inside {
  position: absolute;
  inset: clamp(40px, 7cqh, 64px) clamp(40px, 8cqw, 90px);
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: space-between;
  text-align: center;
}

.inside > *,
.middle > * {
  margin: 0;
}
.prompt {
  min-height: 1.3em;
  font-size: clamp(17px, min(3.6cqh, 5.4cqw), 28px);
}
.middle {
  display: contents;
}
.picture {
  position: relative;
  flex: 1;
  min-height: 0;
  width: 100%;
}
.picture :deep(.figure) {
  position: absolute;
  inset: 0;
  height: 100%;
  width: 100%;
}
.digits {
  font: 700 clamp(96px, min(30cqh, 42cqw), 320px) / 0.86 var(--display);
}
.digits.soft {
  color: var(--quiet);
}
.digits.last {
  color: var(--action);
}
h2 {
  font-size: clamp(22px, min(5.6cqh, 8cqw), 42px);
}
.cue {
  white-space: pre-line;
  font-size: clamp(17px, min(3.3cqh, 5cqw), 26px);
  min-height: 1.4em;
}
.next {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 48px;
  flex-wrap: wrap;
  justify-content: center;
}
.acts,
.choices {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  align-items: center;
  gap: 8px;
  min-height: 56px;
}
.acts .main {
  min-width: 200px;
}
@container (max-width: 520px) {
  .beside .middle {
    display: flex;
    align-items: center;
    flex: 1;
    min-height: 0;
    width: 100%;
  }
  .beside .picture {
    align-self: stretch;
  }
  .beside .digits {
    flex: 1;
    font-size: max(88px, 25cqh);
  }
  .inside {
    inset: 44px 40px 40px;
  }
  .where,
  .next {
    font-size: 16px;
  }
  .acts .main {
    min-width: 120px;
  }
  .acts button {
    padding: 0 12px;
  }
}
</style>
