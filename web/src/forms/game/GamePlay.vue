<script setup lang="ts">
import { ref } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type PlayOf } from '@esfuerzo/core/publication'
import type { FormScreen } from '../formScreen.ts'
import TurnCard from '../TurnCard.vue'

/** A game in the teacher's words, which can get harder. */
const props = defineProps<FormScreen<PlayOf<'game'>>>()
const { t } = useSentences()
const grown = ref(0)
const missed = ref(false)
const lines = [props.play.setUp, props.play.rules].filter(Boolean)
</script>

<template>
  <div class="game">
    <p class="digits num" data-testid="digits">{{ digits }}</p>
    <h2>{{ heading }}</h2>
    <TurnCard
      v-if="missed && play.onMiss"
      :turn="play.onMiss"
      :publication="publication"
      :words="words"
      :pace="pace"
      :paused="paused"
    />
    <div v-else class="told">
      <p v-if="play.players > 1" class="quiet">{{ t('player.game.players', { n: play.players }) }}</p>
      <p v-for="line in lines" :key="line" class="cue">{{ line }}</p>
      <p v-for="line in play.harder.slice(0, grown)" :key="line" class="harder">+ {{ line }}</p>
    </div>
    <div class="buttons">
      <button v-if="play.onMiss" type="button" :class="{ main: missed }" @click="missed = !missed">
        {{ t(missed ? 'player.game.on' : 'player.game.missed') }}
      </button>
      <button v-if="grown < play.harder.length && !missed" type="button" @click="grown++">
        {{ t('player.game.harder') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.game {
  flex: 1;
  min-height: 0;
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 10px;
}
p,
h2 {
  margin: 0;
}
.digits {
  font: 700 clamp(72px, min(26cqh, 34cqw), 260px) / 0.86 var(--display);
}
h2 {
  font-size: clamp(24px, 5.6cqh, 42px);
}
.told {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: grid;
  gap: 10px;
  align-content: center;
  max-width: 34em;
}
.cue,
.harder {
  white-space: pre-line;
  font-size: clamp(19px, 3.6cqh, 28px);
}
.harder {
  font-weight: 700;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: center;
}
</style>
