<script setup lang="ts">
import { computed, defineAsyncComponent, toRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText } from '@esfuerzo/core'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { coreDoor } from '../../workers/coreDoor.ts'
import { useJob } from '../../workers/useJob.ts'
import { useSession } from '../session/useSession.ts'
import { usePanel } from '../panel/usePanel.ts'
import ToolPanel from './ToolPanel.vue'

/** Will everybody finish? Ten thousand simulated children per lane, quick and slow. */
const SpreadChart = defineAsyncComponent(() => import('./SpreadChart.vue'))
const { t } = useI18n()
const session = useSession()
const panel = usePanel()
const work = useJob(coreDoor, 'finish', toRef(session, 'document'), () => ({}))
const lanes = computed(() =>
  (work.answer.value ?? []).flatMap(({ group: id, finish }) => {
    const group = session.document.groups.find((g) => g.id === id)
    if (!group) return []
    const [early, late, last] = [finish.early, finish.late, finish.last].map((s) => minutesText(Math.round(s)))
    const inTime = Math.floor(finish.inTime * 100)
    return [
      {
        group,
        finish,
        same: finish.early === finish.last,
        params: { early, late, last, n: session.document.minutes },
        inTime,
        words: t(inTime === 100 ? 'finish.all' : inTime === 0 ? 'finish.none' : 'finish.some', { n: inTime }),
      },
    ]
  }),
)
const late = computed(() => lanes.value.some((lane) => lane.inTime < 90))
</script>

<template>
  <ToolPanel
    :title="t('finish.title')"
    :running="work.running.value"
    :progress="work.progress.value"
    :problem="work.problem.value"
    @cancel="work.cancel"
    @again="work.run"
  >
    <div v-if="lanes.length" class="lanes" :class="{ old: !work.current.value }">
      <SpreadChart
        :curves="lanes.map(({ group, finish }) => ({ letter: group.letter, bins: finish.bins }))"
        :finish="session.document.minutes * 60"
        :label="t('finish.chart')"
        :minutes="t('lanes.minutes')"
      />
      <section v-for="lane in lanes" :key="lane.group.id">
        <LaneKey :letter="lane.group.letter" :name="lane.group.name" />
        <p><b :class="{ care: lane.inTime < 90 }">{{ lane.words }}</b> {{ t('finish.within', lane.params) }}</p>
        <p class="quiet">{{ t(lane.same ? 'finish.same' : 'finish.usually', lane.params) }}</p>
      </section>
      <button v-if="late" type="button" class="link" @click="panel.show({ kind: 'fit' })">
        {{ t('fit.title') }}
      </button>
      <p class="quiet small">{{ t('finish.how') }}</p>
    </div>
  </ToolPanel>
</template>

<style scoped>
p {
  margin: 0;
}
.lanes {
  display: grid;
  gap: 12px;
}
.old {
  opacity: 0.5;
}
.small {
  font-size: 13px;
}
.link {
  justify-self: start;
}
</style>
