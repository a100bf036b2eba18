<script setup lang="ts">
import { DateTime } from 'luxon'
import { mdiDeleteOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText } from '@esfuerzo/core'
import { pulseRate } from '@esfuerzo/core/run'
import type { RunSummary } from '@esfuerzo/contract'
import LaneKey from '../shared/lanes/LaneKey.vue'

/** One run; `short` leaves out the session's name. */
const props = defineProps<{ run: RunSummary; short?: boolean }>()
const emit = defineEmits<{ remove: [] }>()
const { t, locale } = useI18n()
/** Whether the delete confirmation is shown. */
const asking = ref(false)
const when = computed(() => DateTime.fromISO(props.run.receivedAt).toRelative({ locale: locale.value }))
const took = computed(() =>
  minutesText((Date.parse(props.run.run.finishedAt) - Date.parse(props.run.run.startedAt)) / 1000),
)
const felt = computed(() => {
  const { felt: f } = props.run.run
  return f && t(`runs.felt.${f.scale}`, { n: f.value })
})
/** Results by station, laps in order: "Squat jump 12, 11, 12". */
const results = computed(() => {
  const byStation = new Map<string, number[]>()
  for (const { station, block, value } of props.run.run.results) {
    const key = station ?? block
    byStation.set(key, [...(byStation.get(key) ?? []), value])
  }
  return [...byStation]
    .map(([station, values]) => `${props.run.stations[station] ?? ''} ${values.join(', ')}`)
    .join(' · ')
})
/** The child's other answers: pulse, easier versions, the two questions. */
const more = computed(() => {
  const { pulses = [], survey = {}, steps } = props.run.run
  return [
    ...pulses.map((p) => t(`runs.pulse.${p.when}`, { n: pulseRate(p.beats, p.seconds).rate })),
    ...(steps.easier ? [t('runs.easier', { n: steps.easier })] : []),
    ...(survey.again ? [t(`runs.again.${survey.again}`)] : []),
    ...(survey.space === 'tight' ? [t('runs.tight')] : []),
  ].join(' · ')
})
</script>

<template>
  <li>
    <div class="run">
      <LaneKey :letter="run.letter" :name="run.groupName" />
      <span class="what">
        <router-link v-if="!short" :to="{ name: 'compose', params: { id: run.workoutId } }">{{
          run.title
        }}</router-link>
        <span class="quiet"
          ><template v-if="run.alias">{{ run.alias }} · </template>{{ t('runs.took', { time: took })
          }}<template v-if="felt"> · {{ felt }}</template
          ><template v-if="run.run.steps.skipped">
            · {{ t('runs.skipped', { n: run.run.steps.skipped }) }}</template
          ></span
        >
        <span v-if="results" class="results">{{ results }}</span>
        <span v-if="more" class="quiet">{{ more }}</span>
      </span>
      <span class="quiet when"
        >{{ when
        }}<v-btn
          class="plain remove"
          size="24"
          density="compact"
          :icon="mdiDeleteOutline"
          :aria-label="t('runs.remove', { name: run.groupName, when })"
          :title="t('runs.remove', { name: run.groupName, when })"
          :aria-expanded="asking"
          @click="asking = !asking"
      /></span>
      <span v-if="asking" class="asking">
        <v-btn class="danger" size="small" @click="emit('remove')">{{ t('runs.removeNow') }}</v-btn>
        <v-btn size="small" @click="asking = false">{{ t('runs.keep') }}</v-btn>
      </span>
    </div>
  </li>
</template>

<style scoped>
li {
  container-type: inline-size;
}
.run {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) auto;
  gap: 10px;
  padding: 8px 16px;
  border-top: 1px solid var(--hair);
  font-size: 14px;
}
.what {
  display: grid;
}
a {
  padding: 2px 0;
  color: inherit;
  font-weight: 700;
  text-decoration: none;
}
a:hover {
  text-decoration: underline;
}
.when {
  display: inline-flex;
  align-items: start;
  gap: 6px;
  font-size: 13px;
}
.remove {
  color: var(--quiet);
}
.remove :deep(.v-icon) {
  font-size: 16px;
}
.asking {
  grid-column: 1 / -1;
  display: flex;
  gap: 8px;
}
.results {
  font-variant-numeric: tabular-nums;
}
@container (max-width: 420px) {
  /* In the panel next to the running order the results have a line of their own. */
  .run {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .what {
    grid-area: 2 / 1 / 3 / 3;
  }
}
</style>
