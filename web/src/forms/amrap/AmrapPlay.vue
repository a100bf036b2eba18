<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { doseWords } from '@esfuerzo/core'
import { type PlayOf } from '@esfuerzo/core/publication'
import type { Finding } from '../../player/usePlayer.ts'
import type { FormScreen } from '../formScreen.ts'
import TurnCard from '../TurnCard.vue'

/** As many rounds as fit into the time: one station after the other, each tapped when done, rounds counted. */
const props = defineProps<FormScreen<PlayOf<'amrap'>>>()
const emit = defineEmits<{ note: [finding: Finding] }>()
const { t } = useSentences()
const taps = ref(0)
const count = props.play.turns.length
const rounds = computed(() => Math.floor(taps.value / count))
const at = computed(() => taps.value % count)
const doseOf = (i: number) => {
  const { amount, unit } = props.play.turns[i]!
  return amount !== undefined && unit ? doseWords(amount, unit, props.words.language.value) : ''
}

function onTap() {
  taps.value++
  // To a tenth of a round, as the plan counts them.
  const value = Math.floor((taps.value / count) * 10) / 10
  emit('note', { result: { block: props.step.block, value, unit: 'goes' } })
}
</script>

<template>
  <div class="amrap">
    <p class="digits num" data-testid="digits">{{ digits }}</p>
    <h2 class="quiet">{{ heading }}</h2>
    <ol>
      <li v-for="(turn, i) in play.turns" :key="i" :aria-current="i === at ? 'step' : undefined">
        <span aria-hidden="true">{{ i < at ? '☒' : '☐' }}</span>
        {{ turn.story ?? words.names(turn.move, turn.version) }} <small class="quiet">{{ doseOf(i) }}</small>
      </li>
    </ol>
    <TurnCard
      v-if="play.turns[at]"
      :turn="play.turns[at]!"
      :publication="publication"
      :words="words"
      :pace="pace"
      :paused="paused"
    />
    <p class="rounds" aria-live="polite">{{ t('player.rounds', { n: rounds }, rounds) }}</p>
    <button type="button" class="main" @click="onTap">
      {{ t(at === count - 1 ? 'player.roundDone' : 'player.stationDone') }}
    </button>
  </div>
</template>

<style scoped>
.amrap {
  flex: 1;
  min-height: 0;
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 6px;
}
p,
h2 {
  margin: 0;
}
h2 {
  font-size: clamp(18px, 3.4cqh, 26px);
}
.digits {
  font: 700 clamp(64px, min(22cqh, 34cqw), 200px) / 0.86 var(--display);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  justify-content: center;
}
li {
  font-size: clamp(16px, min(3.2cqh, 4.4cqw), 28px);
}
li[aria-current] {
  font-weight: 700;
}
.rounds {
  font: 700 clamp(18px, min(4.5cqh, 6cqw), 32px) / 1.2 var(--display);
}
.main {
  min-width: 220px;
}
@container (max-width: 520px) {
  /* The list says it already. */
  .amrap :deep(.turn > :not(.picture)) {
    display: none;
  }
}
</style>
