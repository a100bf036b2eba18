<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { library } from '../repertoire/library.ts'
import { bodyRegions } from './bodyRegions.ts'

/** A drawn body, from the front and from the back, with its muscles to choose from. */
const muscle = defineModel<string>()
const { t } = useI18n()
const views = ['front', 'back'] as const
const nameOf = (id: string) => library.muscles.get(id)?.name ?? id
const onPick = (id: string) => (muscle.value = muscle.value === id ? undefined : id)
</script>

<template>
  <div class="body-map" role="group" :aria-label="t('moves.body')">
    <svg v-for="view in views" :key="view" viewBox="0 0 120 222">
      <g class="skin">
        <circle cx="60" cy="20" r="14" />
        <path d="M53 30 h14 v10 h-14 z" />
        <path d="M34 46 Q60 38 86 46 L80 100 Q82 112 83 124 Q60 132 37 124 Q38 112 40 100 Z" />
        <path class="limb arm" d="M33 52 L26 92 L21 128" />
        <path class="limb arm" d="M87 52 L94 92 L99 128" />
        <path class="limb" d="M48 124 L47 165 L47 204" />
        <path class="limb" d="M72 124 L73 165 L73 204" />
      </g>
      <g
        v-for="(regions, id) in bodyRegions[view]"
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
        <ellipse v-for="([x, y, rx, ry], i) in regions" :key="i" :cx="x" :cy="y" :rx="rx" :ry="ry" />
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
.limb {
  fill: none;
  stroke: var(--hair);
  stroke-width: 20;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.arm {
  stroke-width: 14;
}
.muscle {
  fill: var(--far);
  cursor: pointer;
}
.muscle:hover {
  fill: var(--quiet);
}
.muscle[aria-pressed='true'] {
  fill: var(--action);
}
.muscle:focus {
  outline: none;
}
.muscle:focus-visible ellipse {
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
