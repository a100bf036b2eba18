<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { isOwnId, type Move } from '@esfuerzo/core'
import { musclesOf } from '@esfuerzo/core/choose'
import { useSettings } from '../settings/store.ts'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { library } from '../repertoire/library.ts'
import { cycleOf, standardFigure, standardVersion } from '../repertoire/standardFigure.ts'

/** An exercise in the list; its figure moves while it is pointed at. */
const props = defineProps<{ move: Move }>()
const { t } = useI18n()
const settings = useSettings()
const near = ref(false)
const figure = computed(() => standardFigure(props.move, library))
const about = computed(() =>
  [
    library.muscles.get(musclesOf(props.move)[0] ?? '')?.name ?? t(`family.${props.move.family}`),
    t('moves.fromGrade', { grade: settings.gradeNames[props.move.versions[0]!.fromGrade] }),
  ].join(' · '),
)
const kit = computed(() =>
  props.move.kit
    .filter((k) => !k.optional)
    .map((k) => library.kit.get(k.id)?.name ?? k.id)
    .join(', '),
)
</script>

<template>
  <router-link
    class="move card"
    :to="{ name: 'move', params: { move: move.id } }"
    @mouseenter="near = true"
    @mouseleave="near = false"
    @focus="near = true"
    @blur="near = false"
  >
    <MoveFigure v-if="figure" :figure="figure" :size="76" :cycle="near ? cycleOf(standardVersion(move), figure) : 0" />
    <span class="words">
      <b>{{ move.name }}</b>
      <small v-if="isOwnId(move.id)" class="own">{{ t('moves.own') }}</small>
      <small class="quiet" :title="about">{{ about }}</small>
      <small v-if="kit" class="quiet" :title="kit">{{ kit }}</small>
    </span>
  </router-link>
</template>

<style scoped>
.move {
  display: flex;
  gap: 10px;
  align-items: center;
  height: 100%;
  padding: 8px 10px;
  color: var(--ink);
  text-decoration: none;
}
.move:hover {
  border-color: var(--action);
}
.words {
  min-width: 0;
  display: grid;
  gap: 1px;
  line-height: 1.25;
}
small {
  font-size: 13px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.own {
  color: var(--action);
  font-weight: 700;
}
</style>
