<script setup lang="ts">
import { computed } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type PlayOf } from '@esfuerzo/core/publication'
import type { FormScreen } from '../formScreen.ts'
import TurnCard from '../TurnCard.vue'

/** The other child's turn: what it does while this one rests. A tap ends the turn. */
const props = defineProps<FormScreen<PlayOf<'relay'>>>()
const emit = defineEmits<{ finish: [] }>()
const { t } = useSentences()
const turn = computed(() => props.play.turns.find((x) => x.station === props.step.station))
</script>

<template>
  <div class="relay">
    <h2>{{ t('player.relayOther') }}</h2>
    <p class="digits num soft" data-testid="digits">{{ digits }}</p>
    <TurnCard v-if="turn" :turn="turn" :publication="publication" :words="words" :pace="pace" :paused="paused" />
    <p class="quiet after">{{ t('player.relayThen', { name: heading }) }}</p>
    <button type="button" class="main" @click="emit('finish')">{{ t('player.relayDone') }}</button>
  </div>
</template>

<style scoped>
.relay {
  flex: 1;
  min-height: 0;
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: clamp(4px, 1cqh, 10px);
}
.relay > * {
  margin: 0;
}
h2 {
  font: 700 clamp(24px, min(5cqh, 7cqw), 40px) / 1.1 var(--display);
}
.digits {
  font: 700 clamp(34px, 10cqh, 84px) / 1 var(--display);
}
</style>
