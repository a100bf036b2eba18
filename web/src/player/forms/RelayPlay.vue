<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PlayOf } from '@esfuerzo/core'
import type { FormScreen } from './formScreen.ts'
import TurnCard from './TurnCard.vue'

/** The other one's turn: what they do, while this one breathes. Whoever is done taps on. */
const props = defineProps<FormScreen<PlayOf<'relay'>>>()
const { t } = useI18n()
const turn = computed(() => props.play.turns.find((x) => x.station === props.step.station))
</script>

<template>
  <div class="relay">
    <p class="who">
      <b>{{ t('player.relayOther') }}</b> {{ t('player.relayRest') }}
    </p>
    <p class="digits num" data-testid="digits">{{ digits }}</p>
    <h2 class="quiet">{{ heading }}</h2>
    <TurnCard v-if="turn" :turn="turn" :publication="publication" :words="words" :pace="pace" :paused="paused" />
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
  gap: 8px;
}
.who {
  margin: 0;
  text-align: center;
  font-size: clamp(18px, 3.6cqh, 28px);
}
</style>
