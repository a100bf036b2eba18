<script setup lang="ts">
import { mdiAlertOctagonOutline, mdiEyeOutline, mdiNoteTextOutline } from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Language } from '@esfuerzo/core'
import { findingText, type Finding } from '@esfuerzo/core/checks'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { useSession } from '../session/useSession.ts'

/** One thing that was found: how much it weighs, what it is, for whom, why anybody looks there, and the way to it. */
const props = defineProps<{ finding: Finding }>()
const emit = defineEmits<{ go: [] }>()
const { t, locale } = useI18n()
const session = useSession()
const icons = { stop: mdiAlertOctagonOutline, look: mdiEyeOutline, note: mdiNoteTextOutline }

const text = computed(() => findingText(props.finding, locale.value as Language))
const groups = computed(() => session.workout.groups.filter((g) => props.finding.groups.includes(g.id)))
/** Said for single groups where it is not for all. */
const some = computed(() => groups.value.length < session.workout.groups.length)
const row = computed(() => {
  const { section, block, station } = props.finding.where
  return station ?? block ?? section
})
</script>

<template>
  <li :class="finding.level">
    <v-icon :icon="icons[finding.level]" size="20" :aria-label="t(`checks.level.${finding.level}`)" role="img" />
    <div>
      <p>
        {{ text.what }}
        <span v-if="some" class="for"><LaneKey v-for="g in groups" :key="g.id" :letter="g.letter" /></span>
      </p>
      <p class="quiet why">{{ text.why }}</p>
      <button v-if="row" type="button" @click="emit('go')">{{ t('checks.go') }}</button>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 24px 1fr;
  gap: 8px;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
.stop {
  border-left: 5px solid var(--care);
  background: var(--care-soft);
}
.look {
  border-left: 5px solid var(--action);
}
p {
  margin: 0;
  font-size: 15px;
}
.why {
  margin-top: 4px;
  font-size: 13px;
}
.for {
  display: inline-flex;
  gap: 6px;
  margin-left: 6px;
}
button {
  border: 0;
  padding: 4px 0 0;
  background: none;
  color: var(--action);
  font: 700 14px var(--text);
  cursor: pointer;
}
</style>
