<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { library } from '../repertoire/library.ts'
import { bodyHalf, bodyRegions } from './bodyRegions.ts'

/** A drawn body, front and back, whose muscles can be selected. */
const muscle = defineModel<string>()
const { t } = useI18n()
const views = ['front', 'back'] as const
const nameOf = (id: string) => library.muscles.get(id)?.name ?? id
/** The left half of the picture mirrors the right. */
const halves = [undefined, 'translate(120 0) scale(-1 1)'] as const
const onPick = (id: string) => (muscle.value = muscle.value === id ? undefined : id)
</script>

<template>
  <div class="body-map" role="group" :aria-label="t('moves.body')">
    <svg v-for="view in views" :key="view" viewBox="0 0 120 222">
      <g class="skin">
        <circle cx="60" cy="18" r="13.5" />
        <path v-for="(half, i) in halves" :key="i" :d="bodyHalf" :transform="half" />
      </g>
      <g
        v-for="(region, id) in bodyRegions[view]"
        :key="id"
        class="muscle"
        role="button"
        tabindex="0"
        :aria-pressed="muscle === id"
        :aria-label="nameOf(id)"
        @click="onPick(id)"
        @keydown.enter.prevent="onPick(id)"
        @keydown.space.prevent="onPick(id)"
      >
        <title>{{ nameOf(id) }}</title>
        <path v-for="(half, i) in halves" :key="i" :d="region" :transform="half" />
      </g>
      <text x="60" y="219" text-anchor="middle" aria-hidden="true">
        {{ t(view === 'front' ? 'moves.front' : 'moves.backView') }}
      </text>
    </svg>
    <p class="quiet" aria-live="polite">{{ muscle ? nameOf(muscle) : t('moves.pickMuscle') }}</p>
  </div>
</template>

<style scoped>
.body-map {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 8px;
}
svg {
  width: 100%;
}
.skin {
  fill: var(--hair);
}
.muscle {
  fill: var(--far);
  /* A target large enough for a finger, as wide as the line around it. */
  stroke: var(--far);
  stroke-width: 1.5;
  stroke-linejoin: round;
  cursor: pointer;
}
.muscle:hover {
  fill: var(--quiet);
}
.muscle[aria-pressed='true'] {
  fill: var(--action);
  stroke: var(--action);
}
.muscle:focus {
  outline: none;
}
.muscle:focus-visible path {
  stroke: var(--action);
  stroke-width: 3;
}
text {
  fill: var(--quiet);
  font: 11px var(--text);
}
p {
  grid-column: 1 / -1;
  margin: 0;
  text-align: center;
}
</style>
