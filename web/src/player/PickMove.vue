<script setup lang="ts">
import { useSentences } from '../shared/sentences.ts'
import { type PlayedTurn } from '@esfuerzo/core/publication'
import type { PlayerWords } from './useWords.ts'

/** A child picks its next exercise from its favorites. */
const props = defineProps<{
  turns: readonly PlayedTurn[]
  /** Stations picked before. */
  taken: readonly string[]
  words: PlayerWords
}>()
const emit = defineEmits<{ pick: [station: string] }>()
const { t } = useSentences()
const free = props.turns.filter((turn) => !props.taken.includes(turn.station ?? ''))
const offered = free.length ? free : props.turns
</script>

<template>
  <div class="pick" role="group" :aria-label="t('player.pick')">
    <button v-for="turn in offered" :key="turn.station" type="button" @click="emit('pick', turn.station!)">
      {{ turn.story ?? words.names(turn.move, turn.version) }}
    </button>
  </div>
</template>

<style scoped>
.pick {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-content: center;
  justify-content: center;
}
</style>
